'use client'
/** The piece itself from the front, each part in its colour of now, what is wrong where it is: a tap says what is wrong there. */
import { type KeyboardEvent, type MouseEvent, useRef, useState } from 'react'
import type { PartId } from '@/core/measure/named'
import { type Corner, type FrontPart, type PieceFront, pointOf, spotAt } from '@/core/piece/pieceFront'
import type { SnagOn } from '@/ui/bench/SnagForm'
import { later } from '@/ui/frame/later'

const SnagSheet = later(async () => (await import('./SnagSheet')).SnagSheet)

export interface DrawnPart {
  name: string
  /** the colour that is seen of it */
  tone: string
  /** what is seen on it, in either theme */
  ink: string
  /** what is written down when it is tapped; null where there is nothing to mend */
  on: SnagOn | null
}
export interface DrawnSnag {
  id: string
  partId: PartId
  spot: number | null
  /** it is mended */
  isOver: boolean
}
const unknown: DrawnPart = { name: '', tone: 'var(--sheet)', ink: 'var(--ink)', on: null }

interface Props {
  front: PieceFront
  parts: Readonly<Record<PartId, DrawnPart>>
  snags: readonly DrawnSnag[]
  words: string
}

/** What tells one part from another: the front edge of a board, a drawer's handle, a door's panel and knob. */
function detailsOf({ kind }: FrontPart, shape: readonly Corner[]): Corner[][] {
  const [[left = 0, low = 0] = [], [right = 0] = [], [, high = 0] = []] = shape
  const [width, height] = [right - left, high - low]
  const at = (x: number, y: number): Corner => [left + width * x, low + height * y]
  if (kind === 'top' || kind === 'seat') return [[at(0, 1), at(1, 1)]]
  if (kind === 'drawer-fronts') return [[at(0.42, 0.5), at(0.58, 0.5)]]
  if (kind === 'doors')
    return [
      [at(0.16, 0.1), at(0.84, 0.1), at(0.84, 0.9), at(0.16, 0.9), at(0.16, 0.1)],
      [at(0.92, 0.47), at(0.92, 0.53)],
    ]
  return []
}
export function PieceDrawing({ front, parts, snags, words }: Props) {
  const svg = useRef<SVGSVGElement>(null)
  const [asked, setAsked] = useState<{ on: SnagOn; spot: number | null } | null>(null)
  const edge = Math.max(front.width, front.height) * 0.02
  const dot = Math.max(front.width, front.height) * 0.022
  const up = ([x, y]: Corner): Corner => [x, front.height - y]
  const lineOf = (line: readonly Corner[]) => `M${line.map((corner) => up(corner).map(Math.round).join(' ')).join('L')}`
  const pathOf = (shape: readonly Corner[]) => `${lineOf(shape)}Z`
  /** Where on a part a finger came down. */
  const spotOf = (part: FrontPart, { clientX, clientY }: MouseEvent) => {
    const matrix = svg.current?.getScreenCTM()
    if (!matrix) return null
    const { x, y } = new DOMPoint(clientX, clientY).matrixTransform(matrix.inverse())
    return spotAt(part, up([x, y]))
  }
  return (
    <>
      <svg
        ref={svg}
        viewBox={`${-edge} ${-edge} ${front.width + 2 * edge} ${front.height + 2 * edge}`}
        role="group"
        aria-label={words}
        className="mx-auto max-h-80 w-full"
      >
        {front.parts.map((part) => {
          const { name, tone, ink, on } = parts[part.partId] ?? unknown
          const drawn = part.shapes.map((shape) => (
            <path
              key={pathOf(shape)}
              d={pathOf(shape)}
              fill={tone}
              stroke="var(--ink)"
              strokeWidth="1.75"
              strokeLinejoin="round"
              vectorEffect="non-scaling-stroke"
            />
          ))
          const details = part.shapes
            .flatMap((shape) => detailsOf(part, shape))
            .map((line) => (
              <path
                key={lineOf(line)}
                d={lineOf(line)}
                fill="none"
                stroke={ink}
                strokeWidth="1.75"
                strokeLinecap="round"
                vectorEffect="non-scaling-stroke"
              />
            ))
          if (!on)
            return (
              <g key={part.partId} aria-hidden>
                {drawn}
                {details}
              </g>
            )
          const tapped = {
            onClick: (event: MouseEvent) => setAsked({ on, spot: spotOf(part, event) }),
            onKeyDown: (event: KeyboardEvent) => {
              if (event.key !== 'Enter' && event.key !== ' ') return
              event.preventDefault()
              setAsked({ on, spot: null })
            },
          }
          return (
            <g
              key={part.partId}
              role="button"
              tabIndex={0}
              aria-haspopup="dialog"
              aria-label={`Something is wrong: ${name}`}
              className="cursor-pointer focus-visible:outline-4 focus-visible:outline-now hover:opacity-85"
              {...tapped}
            >
              {drawn}
              {details}
            </g>
          )
        })}
        <path
          d={`M${-edge} ${front.height}H${front.width + edge}`}
          stroke="var(--ink)"
          strokeWidth="3"
          vectorEffect="non-scaling-stroke"
        />
        {snags.map(({ id, partId, spot, isOver }, k) => {
          const part = front.parts.find((each) => each.partId === partId)
          if (!part) return null
          const [x, y] = up(pointOf(part, spot))
          const same = snags.slice(0, k).filter((each) => each.partId === partId && each.spot === spot).length
          return (
            <circle
              key={id}
              cx={x + same * dot * 1.4}
              cy={y}
              r={dot}
              fill={isOver ? 'none' : 'var(--late)'}
              stroke={isOver ? 'var(--ink)' : 'var(--sheet)'}
              strokeWidth="2.5"
              vectorEffect="non-scaling-stroke"
              className="pointer-events-none"
              data-snag={isOver ? 'over' : 'open'}
            />
          )
        })}
      </svg>
      {asked && <SnagSheet key={asked.on.partId} {...asked} close={() => setAsked(null)} />}
    </>
  )
}
