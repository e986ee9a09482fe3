/** A step of the week as a stroke: tapped it is chosen, pulled along its line it is asked for at another time. */
import { type PointerEvent, useRef, useState } from 'react'
import type { OutlookLine } from '@/core/week/ask'
import type { DayScale } from './scale'

interface Props {
  line: OutlookLine
  number: number | undefined
  scale: DayScale
  y: number
  /** of the drawing, in its own units */
  wide: number
  chosen: boolean
  choose: () => void
  move: (ms: number) => void
  /** it was let go over the name of whose hands it is to be in */
  give: (hand: number) => void
}

const stroke = 15
/** A finger's height of the line takes hold of a stroke, and no less of its width than this. */
const grip = { high: 52, wide: 8 }
/** A finger trembles by so much. */
const tremble = 6

export function StepStroke({ line, number, scale, y, wide, chosen, choose, move, give }: Props) {
  const [pulled, setPulled] = useState({ x: 0, y: 0 })
  const isPulled = Math.hypot(pulled.x, pulled.y) > tremble
  const held = useRef<{ x: number; y: number; unit: number } | null>(null)
  const [from, to] = [scale.x(line.startMs), scale.x(line.endMs)]
  const stretches = workedIn(scale, from, Math.max(from + 5, to))
  const begin = (event: PointerEvent<SVGGElement>) => {
    const drawing = event.currentTarget.ownerSVGElement?.getBoundingClientRect()
    if (!drawing) return
    event.currentTarget.setPointerCapture(event.pointerId)
    held.current = { x: event.clientX, y: event.clientY, unit: wide / drawing.width }
  }
  const pull = (event: PointerEvent<SVGGElement>) => {
    if (!held.current) return
    const { x, y: began, unit } = held.current
    setPulled({ x: (event.clientX - x) * unit, y: (event.clientY - began) * unit })
  }
  const letGo = () => {
    held.current = null
    setPulled({ x: 0, y: 0 })
  }
  const end = (event: PointerEvent<SVGGElement>) => {
    const hand = handUnder(event)
    letGo()
    if (!isPulled || !line.step) return choose()
    if (hand !== null) give(hand)
    else if (Math.abs(pulled.x) > tremble) move(scale.at(from + pulled.x))
  }
  return (
    <g
      onPointerDown={begin}
      onPointerMove={pull}
      onPointerUp={(event) => held.current && end(event)}
      onPointerCancel={letGo}
      transform={isPulled ? `translate(${pulled.x} ${pulled.y})` : undefined}
      className="cursor-grab touch-pan-y"
      data-step={line.key}
    >
      <rect x={from} y={y - grip.high / 2} width={Math.max(grip.wide, to - from)} height={grip.high} fill="transparent" />
      <path
        d={stretches
          .map(([since, until]) => brush(since, until, y))
          .concat(stretches.length > 1 ? rest(from, to, y) : [])
          .join('')}
        fill={line.missed ? 'var(--late)' : 'var(--now)'}
        stroke={chosen || isPulled ? 'var(--ink)' : 'none'}
        strokeWidth="3"
      />
      {number !== undefined && to - from > numberWide(number) && (
        <text x={(from + to) / 2} y={y + 6} fontSize="17" fontWeight="700" textAnchor="middle" fill="var(--on-now)">
          {number}
        </text>
      )}
    </g>
  )
}

/** A number that is wider than its stroke would run into the next one's. */
const numberWide = (number: number) => 8 + 10 * String(number).length

/** The hand whose name is under the pointer. */
function handUnder({ clientX, clientY }: PointerEvent): number | null {
  const name = document.elementsFromPoint(clientX, clientY).find((each) => each instanceof HTMLElement && each.dataset.hand)
  return name instanceof HTMLElement ? Number(name.dataset.hand) : null
}

/** Where hands are on a step that goes over a night: in the hours of each day, at its end at the least. */
function workedIn({ days }: DayScale, from: number, to: number): [number, number][] {
  const inHours = days.flatMap(({ opens, shuts, isWorked }): [number, number][] =>
    isWorked && opens < to && shuts > from ? [[Math.max(from, opens), Math.min(to, shuts)]] : [],
  )
  return inHours.length > 1 ? inHours.filter(([since, until]) => until - since > 2) : [[from, to]]
}
/** A thin line where it rests. */
const rest = (from: number, to: number, y: number): string => `M${from} ${y - 1.5}H${to}V${y + 1.5}H${from}Z`

/** A stroke of the brush: full, with a soft nose and a dry end. */
function brush(from: number, to: number, y: number): string {
  const nose = Math.min(9, (to - from) / 3)
  return `M${from} ${y}C${from} ${y - stroke} ${from + nose} ${y - stroke} ${from + nose} ${y - stroke}H${to - nose}C${to} ${y - stroke + 2} ${to + 1} ${y - 5} ${to} ${y}C${to + 1} ${y + 5} ${to} ${y + stroke - 2} ${to - nose} ${y + stroke}H${from + nose}C${from + nose} ${y + stroke} ${from} ${y + stroke} ${from} ${y}Z`
}
