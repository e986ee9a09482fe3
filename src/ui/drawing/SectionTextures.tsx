'use client'
/** The textures that sections are filled with; once on a page, before the first section. */
import { corner, size } from './sawn'

/** The grain of sawn wood, as one path: it runs within the block by its own control points, so nothing need be clipped. */
const grain = Array.from({ length: 9 }, (_, k) => {
  const { x, y } = corner
  const left = Math.round(x + 8 + k * k * 1.7)
  return `M${left} ${size + 4}C${x + 12 + k * 15} ${y + 92} ${x + 44 + k * 19} ${y + 40 + k * 6} ${size + 4} ${y + 22 + k * 16}`
}).join('')

export function SectionTextures() {
  return (
    <svg aria-hidden width="0" height="0" className="absolute">
      <defs>
        <path id="section-grain" d={grain} fill="none" />
        <pattern id="section-haze" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(35)">
          <rect width="6" height="6" fill="#f6ecd2" fillOpacity="0.82" />
          <path d="M0 3H6" stroke="#b59a63" strokeOpacity="0.55" strokeWidth="1.1" />
        </pattern>
        <pattern id="section-film" width="10" height="10" patternUnits="userSpaceOnUse" patternTransform="rotate(-45)">
          <rect width="10" height="10" fill="#eaf1ee" fillOpacity="0.78" />
          <path d="M0 5H10" stroke="#ffffff" strokeWidth="2.4" />
          <path d="M0 6.6H10" stroke="#7f9892" strokeOpacity="0.5" strokeWidth="0.8" />
        </pattern>
        <pattern id="section-washed" width="9" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(18)">
          <path d="M0 2.5H9" stroke="#ffffff" strokeOpacity="0.55" strokeWidth="1.4" strokeDasharray="6 3" />
        </pattern>
        <pattern id="section-cracked" width="26" height="22" patternUnits="userSpaceOnUse" patternTransform="rotate(12)">
          <path
            d="M0 6L7 3L12 9L20 5L26 8M12 9L10 16L15 22M10 16L0 18M20 5L22 0"
            fill="none"
            stroke="#1d120a"
            strokeOpacity="0.7"
            strokeWidth="1.6"
          />
        </pattern>
        <pattern id="section-rough" width="11" height="9" patternUnits="userSpaceOnUse" patternTransform="rotate(27)">
          <circle cx="3" cy="3" r="2" fill="#1d120a" fillOpacity="0.22" />
          <circle cx="8.5" cy="6.5" r="1.4" fill="#ffffff" fillOpacity="0.35" />
        </pattern>
        <pattern id="section-lifted" width="17" height="13" patternUnits="userSpaceOnUse" patternTransform="rotate(-20)">
          <path d="M2 4Q6 0 9 4T16 5M1 10Q5 7 8 10T15 11" fill="none" stroke="#ffffff" strokeOpacity="0.5" strokeWidth="2" />
        </pattern>
        <pattern id="section-gilt" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 3.5H3" stroke="#fff3c4" strokeWidth="1.6" />
        </pattern>
      </defs>
    </svg>
  )
}
