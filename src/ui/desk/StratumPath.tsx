'use client'
/** What the drawing of a finish is made of: a layer or a hairline, where it does not hold, room for another, the wood. */
import type { SVGAttributes } from 'react'
import type { DeskStratum } from '@/core/desk/strata'
import { layerFills, layerOverlays } from '@/ui/drawing/Section'
import { stratumWords } from '@/words/strata'

/** Room for another layer at a joint of the chosen one. */
export function PutHere({ y, label: said, press }: { y: number; label: string; press: () => void }) {
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={said}
      className="stratum cursor-pointer"
      onClick={press}
      onKeyDown={(event) => {
        if (event.key !== 'Enter' && event.key !== ' ') return
        event.preventDefault()
        press()
      }}
    >
      <circle cx="20" cy={y} r="24" fill="transparent" />
      <circle cx="20" cy={y} r="12" fill="var(--now)" stroke="var(--sheet)" strokeWidth="2" />
      <path d={`M14 ${y}h12M20 ${y - 6}v12`} stroke="var(--on-now)" strokeWidth="2.4" />
    </g>
  )
}

/** Lines of sawn wood, clipped to it. */
export function Grain({ ground, height }: { ground: string; height: number }) {
  return (
    <g pointerEvents="none" clipPath="url(#editor-wood)">
      <clipPath id="editor-wood">
        <path d={ground} />
      </clipPath>
      {Array.from({ length: 7 }, (_, k) => (
        <path
          key={k}
          d={`M-10 ${height - 8 - k * 19}C120 ${height - 30 - k * 15} 300 ${height + 6 - k * 24} 560 ${height - 18 - k * 17}`}
          fill="none"
          stroke="#1d120a"
          strokeOpacity="0.22"
          strokeWidth={k % 2 === 0 ? 1.6 : 0.9}
        />
      ))}
    </g>
  )
}

interface StratumProps {
  stratum: DeskStratum
  laid: { path: string; top: string }
  /** what it lies on */
  joint: string
  isSelected: boolean
  isWrong: boolean
  isPulled: boolean
  pressed: SVGAttributes<SVGPathElement>
}

export function StratumPath({ stratum, laid, joint, isSelected, isWrong, isPulled, pressed }: StratumProps) {
  const { path, top } = laid
  const words = stratumWords(stratum)
  const { drawn } = stratum
  const torn = isWrong || ('conflicts' in stratum && stratum.conflicts.some(({ severity }) => severity !== 'advice'))
  const own = stratum.is === 'touch'
  const frame = isSelected || isPulled ? { stroke: 'var(--now)', strokeOpacity: 1, strokeWidth: 3.5 } : {}
  const button = own
    ? { ...pressed, role: 'button', 'aria-label': words, 'data-layer': stratum.id, className: 'stratum cursor-grab' }
    : { pointerEvents: 'none' as const }
  // what the rules put in and what lays nothing is a line on what is below
  if (!own && !drawn)
    return (
      <>
        <path d={top} fill="none" stroke="var(--sheet)" strokeWidth="2.6" pointerEvents="none" />
        <path d={top} fill="none" stroke="var(--ink)" strokeWidth="1.2" strokeDasharray="2 3" pointerEvents="none" />
        {torn && <Torn along={joint} />}
      </>
    )
  if (!drawn || path === '')
    return (
      <>
        <path d={path || top} fill="var(--well)" stroke="var(--ink)" strokeOpacity="0.4" strokeWidth="1" {...frame} {...button}>
          <title>{words}</title>
        </path>
        <path
          d={top}
          transform="translate(0 4)"
          fill="none"
          stroke="var(--ink)"
          strokeWidth="1.6"
          strokeDasharray="9 5"
          pointerEvents="none"
        />
        {torn && <Torn along={joint} />}
      </>
    )
  const overlay = layerOverlays[drawn.kind]
  return (
    <>
      <path
        d={path}
        fill={layerFills[drawn.kind] ?? drawn.tone}
        stroke="var(--ink)"
        strokeOpacity="0.4"
        strokeWidth="1"
        strokeLinejoin="round"
        {...(stratum.is === 'added' && { strokeDasharray: '4 3' })}
        {...frame}
        {...button}
      >
        <title>{words}</title>
      </path>
      {overlay && <path d={path} fill={overlay} pointerEvents="none" />}
      {torn && <Torn along={joint} />}
    </>
  )
}

/** Where it does not hold. */
const Torn = ({ along }: { along: string }) => (
  <path d={along} fill="none" stroke="var(--late)" strokeWidth="3.4" strokeDasharray="3 4 9 4" pointerEvents="none" />
)
