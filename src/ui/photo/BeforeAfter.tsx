'use client'
/** Before and after, one over the other: the edge between them is dragged, or moved with the arrow keys. */
import { Slider } from 'radix-ui'
import { useState } from 'react'
import { Picture } from './Picture'

export function BeforeAfter({ before, after, width, height }: { before: string; after: string; width: number; height: number }) {
  const [edge, setEdge] = useState(50)
  return (
    <figure className="mt-3">
      <div className="relative overflow-hidden rounded-sm" style={{ aspectRatio: `${width} / ${height}` }}>
        <Picture photoId={before} size="large" alt="Before" className="absolute inset-0 size-full object-cover" />
        <Picture
          photoId={after}
          size="large"
          alt="After"
          className="absolute inset-0 size-full object-cover"
          style={{ clipPath: `inset(0 0 0 ${edge}%)` }}
        />
        <Slider.Root
          className="absolute inset-0 flex touch-none select-none items-center"
          min={0}
          max={100}
          step={1}
          value={[edge]}
          onValueChange={([next = 50]) => setEdge(next)}
        >
          <Slider.Track className="relative h-full grow cursor-ew-resize" />
          <Slider.Thumb
            className="block h-full w-12 cursor-ew-resize"
            aria-label="The edge between before and after"
            aria-valuetext={`${edge} % before`}
          >
            <span className="mx-auto block h-full w-1 bg-ground" />
          </Slider.Thumb>
        </Slider.Root>
      </div>
      <figcaption className="eyebrow flex justify-between">
        <span>before</span>
        <span>after</span>
      </figcaption>
    </figure>
  )
}
