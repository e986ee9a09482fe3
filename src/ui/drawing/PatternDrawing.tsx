/** A pattern set out on its face, to scale: each mark in its colour, with the first measures written where a rule would lie. */
import { type Face, marksOf, type Pattern } from '@/core/craft/pattern'
import { lengthText } from '@/core/measure/length'
import type { Measuring } from '@/core/measure/units'
import { measuresWords } from '@/words/where'

interface Props {
  pattern: Pattern
  face: Face
  /** of the marks, and of what they lie on */
  hex: string
  under: string
  house: Measuring
  className?: string
}

/** Drawn so wide; as high as the face is to its width. */
const drawn = 320

export function PatternDrawing({ pattern, face, hex, under, house, className }: Props) {
  const scale = drawn / face.width
  const height = Math.max(40, face.height * scale)
  const marks = marksOf(pattern, face)
  const [first, second] = marks
  const upright = pattern.kind === 'stencil' || pattern.run === 'upright'
  return (
    <svg
      viewBox={`-4 -4 ${drawn + 8} ${height + 34}`}
      role="img"
      aria-label={measuresWords(pattern, house)}
      className={className}
    >
      <rect width={drawn} height={height} fill={under} stroke="var(--ink)" strokeWidth="2" />
      {marks.map((mark, k) => (
        <rect
          key={k}
          x={mark.x * scale}
          y={(mark.y / face.height) * height}
          width={mark.width * scale}
          height={(mark.height / face.height) * height}
          fill={hex}
          rx={pattern.kind === 'stencil' ? 4 : 0}
        />
      ))}
      {first && upright && (
        <Measure
          from={first.x * scale}
          to={(first.x + first.width) * scale}
          at={height + 8}
          words={lengthText(first.width, house)}
        />
      )}
      {first && second && upright && second.x > first.x + first.width && (
        <Measure
          from={(first.x + first.width) * scale}
          to={second.x * scale}
          at={height + 8}
          words={lengthText(second.x - first.x - first.width, house)}
        />
      )}
      {!upright && (
        <text x={0} y={height + 22} fontSize="15" fill="var(--ink)">
          {first && `${lengthText(first.height, house)} high`}
          {first && second && `, ${lengthText(second.y - first.y - first.height, house)} apart`}
        </text>
      )}
    </svg>
  )
}

function Measure({ from, to, at, words }: { from: number; to: number; at: number; words: string }) {
  return (
    <g stroke="var(--ink)" strokeWidth="1.5" fill="none">
      <path d={`M${from} ${at - 4}v8M${to} ${at - 4}v8M${from} ${at}H${to}`} />
      <text x={(from + to) / 2} y={at + 18} textAnchor="middle" fontSize="15" fill="var(--ink)" stroke="none">
        {words}
      </text>
    </g>
  )
}
