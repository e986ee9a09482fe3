'use client'
/** A colour of a look: from the tins on the shelf, or any other with a name of its own. */
import { complementOf, darkerOf } from '@/core/craft/colour'
import type { DeskTin } from '@/core/desk/state'
import type { Colour } from '@/core/finish/wish'
import { TextField } from '@/ui/form/Field'

export function ColourChoice({
  words,
  why,
  colour,
  tins,
  suggestions,
  trouble,
  choose,
}: {
  words: string
  why: string
  colour: Colour
  tins: readonly DeskTin[]
  suggestions: readonly Colour[]
  trouble: string | undefined
  choose: (colour: Colour) => void
}) {
  return (
    <fieldset className="min-w-0">
      <legend className="mb-1 font-semibold">
        {words} <span className="font-normal text-soft">{why}</span>
      </legend>
      <div className="strip mb-2 sm:mb-3">
        {[...tins, ...suggestions].map(({ name, hex }) => (
          <button
            key={`${hex} ${name}`}
            type="button"
            aria-pressed={hex === colour.hex}
            onClick={() => choose({ name, hex })}
            className="press pl-2 aria-pressed:outline-3 aria-pressed:outline-now"
          >
            <span
              aria-hidden
              className="size-8 rounded-[0.6rem_0.1rem_0.1rem_0.1rem] border border-ink/30"
              style={{ background: hex }}
            />
            {name}
          </button>
        ))}
      </div>
      <div className="grid grid-cols-[1fr_4rem] items-end gap-3">
        <TextField
          label="Its name"
          className="beside"
          value={colour.name}
          trouble={trouble}
          onChange={(event) => choose({ ...colour, name: event.target.value })}
        />
        <input
          type="color"
          aria-label={`${words}: value`}
          value={colour.hex}
          onChange={(event) => choose({ name: colour.name, hex: event.target.value })}
          className="field cursor-pointer p-1"
        />
      </div>
    </fieldset>
  )
}

/** Colours that sing beside one: its opposite, and a darker one of it. */
export const suggestedFor = ({ name, hex }: Colour): Colour[] =>
  /^#[0-9a-f]{6}$/i.test(hex)
    ? [
        { name: `Opposite of ${name}`, hex: complementOf(hex) },
        { name: `Darker ${name}`, hex: darkerOf(hex) },
      ]
    : []
