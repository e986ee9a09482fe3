'use client'
/** A shade of two tins by parts: what it will look like is reckoned, and said to be a guess. */
import { useState } from 'react'
import type { DeskTin } from '@/core/desk/state'
import { type Colour, shadeOf } from '@/core/finish/shade'
import { decimalMark, numberText, readFigure } from '@/core/measure/number'
import { ChoiceField, TextField } from '@/ui/form/Field'
import { useHouse } from '@/ui/form/house'

export function ShadeFields({
  colour,
  tins,
  choose,
}: {
  colour: Colour
  tins: readonly DeskTin[]
  choose: (colour: Colour) => void
}) {
  const house = useHouse()
  const [one, other] = colour.parts ?? []
  const [first, setFirst] = useState(one?.hex ?? tins[0]?.hex ?? '')
  const [second, setSecond] = useState(other?.hex ?? tins[1]?.hex ?? '')
  const [parts, setParts] = useState([numberText(one?.parts ?? 2, house), numberText(other?.parts ?? 1, house)] as const)
  if (tins.length < 2) return null
  const amounts = parts.map((text) => Number(readFigure(text, decimalMark(house)) ?? 0))
  const trouble = (k: 0 | 1) => ((amounts[k] ?? 0) > 0 ? undefined : 'A number, like 2.')
  const named = (hex: string) => tins.find((tin) => tin.hex === hex)
  const made = [named(first), named(second)].flatMap((tin, k) =>
    tin && (amounts[k] ?? 0) > 0 ? [{ name: tin.name, hex: tin.hex, parts: amounts[k] ?? 0 }] : [],
  )
  const options = tins.map(({ name, hex }) => [hex, name] as const)
  return (
    <details className="mt-2">
      <summary className="inline-flex min-h-12 cursor-pointer items-center font-semibold underline">Mix a shade of two</summary>
      <div className="mt-1 grid grid-cols-[7rem_1fr] items-start gap-3">
        <TextField
          label="Parts"
          inputMode="decimal"
          value={parts[0]}
          trouble={trouble(0)}
          onChange={(event) => setParts([event.target.value, parts[1]])}
        />
        <ChoiceField label="of" value={first} onChange={(event) => setFirst(event.target.value)} options={options} />
        <TextField
          label="Parts"
          inputMode="decimal"
          value={parts[1]}
          trouble={trouble(1)}
          onChange={(event) => setParts([parts[0], event.target.value])}
        />
        <ChoiceField label="of" value={second} onChange={(event) => setSecond(event.target.value)} options={options} />
      </div>
      <button
        type="button"
        className="press mt-3"
        disabled={made.length < 2 || first === second}
        onClick={() =>
          choose({
            name: made.map(({ name, parts: share }) => `${share} ${name}`).join(' : '),
            hex: shadeOf(made),
            parts: made,
          })
        }
      >
        {made.length === 2 && first !== second && (
          <span
            aria-hidden
            className="mr-2 inline-block size-6 rounded-sm border border-ink/30 align-middle"
            style={{ background: shadeOf(made) }}
          />
        )}
        Take this shade
      </button>
    </details>
  )
}
