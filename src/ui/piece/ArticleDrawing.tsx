'use client'
/** An article from the front, as it was measured: pulled by its side or its top to the size it has, by hand or by arrows. */
import { type KeyboardEvent, type PointerEvent, useRef } from 'react'
import type { FrontBox, Size } from '@/core/piece/article'

interface Props {
  words: string
  front: readonly FrontBox[]
  size: Size
  /** lengths in mm as the house says them */
  said: (mm: number) => string
  set: (over: Partial<Size>) => void
}
const least = 100
const most = 4000
/** mm that a pull goes by */
const step = 10
const within = (mm: number) => Math.round(Math.min(most, Math.max(least, mm)) / step) * step

const fills: Record<FrontBox['is'], string> = {
  body: '#c89e70',
  top: '#b98c5c',
  leg: '#b98c5c',
  drawer: '#d6b186',
  door: '#d6b186',
  shelf: '#d6b186',
  pane: '#cfdedd',
}

export function ArticleDrawing({ words, front, size, said, set }: Props) {
  const svg = useRef<SVGSVGElement>(null)
  /** a two-hundredth of the larger side: lines, handles and letters are so many of it */
  const line = Math.max(size.width, size.height) / 200
  const view = { x: -line * 24, y: -line * 52, width: size.width + line * 116, height: size.height + line * 62 }
  /** a handle stands so far off the edge that it pulls */
  const off = line * 26
  const pull = (axis: 'width' | 'height') => (event: PointerEvent<SVGElement>) => {
    if (event.buttons !== 1 || !event.currentTarget.hasPointerCapture(event.pointerId)) return
    const onScreen = svg.current?.getScreenCTM()?.inverse()
    if (!onScreen) return
    const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(onScreen)
    set(axis === 'width' ? { width: within(at.x - off) } : { height: within(size.height - at.y - off) })
  }
  const keys = (axis: 'width' | 'height') => (event: KeyboardEvent) => {
    const by = { ArrowRight: step, ArrowUp: step, ArrowLeft: -step, ArrowDown: -step, PageUp: 10 * step, PageDown: -10 * step }[
      event.key
    ]
    if (by === undefined) return
    event.preventDefault()
    set({ [axis]: within(size[axis] + by) })
  }
  const handle = (axis: 'width' | 'height', x: number, y: number, turn: number) => (
    <g
      role="slider"
      tabIndex={0}
      aria-label={axis === 'width' ? 'Width' : 'Height'}
      aria-orientation={axis === 'width' ? 'horizontal' : 'vertical'}
      aria-valuemin={least}
      aria-valuemax={most}
      aria-valuenow={size[axis]}
      aria-valuetext={said(size[axis])}
      className={`stratum touch-none ${axis === 'width' ? 'cursor-ew-resize' : 'cursor-ns-resize'}`}
      transform={`translate(${x} ${y}) rotate(${turn}) scale(${line * 1.1})`}
      onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
      onPointerMove={pull(axis)}
      onKeyDown={keys(axis)}
    >
      <circle r="22" fill="transparent" />
      <circle r="13" fill="var(--now)" />
      <path d="M-6 -4L-10 0L-6 4M6 -4L10 0L6 4" fill="none" stroke="var(--on-now)" strokeWidth="2.4" strokeLinecap="round" />
    </g>
  )
  return (
    <svg
      ref={svg}
      viewBox={`${view.x} ${view.y} ${view.width} ${view.height}`}
      role="group"
      aria-label={`${words}, from the front`}
      className="h-72 w-full select-none"
    >
      <path d={`M${view.x} ${size.height}h${view.width}`} stroke="var(--ink)" strokeOpacity="0.35" strokeWidth={line} />
      {front.map(({ is, x, y, width, height }, k) => (
        <g key={k} pointerEvents="none">
          <rect
            x={x}
            y={size.height - y - height}
            width={Math.max(1, width)}
            height={Math.max(1, height)}
            fill={fills[is]}
            stroke="#4a3220"
            strokeWidth={line * 0.9}
          />
          {is === 'drawer' && (
            <path
              d={`M${x + width / 2 - line * 12} ${size.height - y - height / 2}h${line * 24}`}
              stroke="#4a3220"
              strokeWidth={line * 2.2}
              strokeLinecap="round"
            />
          )}
          {is === 'door' && <circle cx={x + width - line * 9} cy={size.height - y - height / 2} r={line * 3} fill="#4a3220" />}
        </g>
      ))}
      {handle('width', size.width + off, size.height * 0.5, 0)}
      {handle('height', size.width / 2, -off, 90)}
      <g fontSize={line * 15} fontWeight="700" fill="var(--ink)">
        <text x={size.width + line * 12} y={size.height * 0.5 + line * 36}>
          {said(size.width)}
        </text>
        <text x={size.width / 2 + line * 22} y={-off + line * 5}>
          {said(size.height)}
        </text>
      </g>
    </svg>
  )
}
