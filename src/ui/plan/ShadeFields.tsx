'use client'
/** A shade of several tins by parts: what it will look like is reckoned, and said to be a guess. */
import { X } from 'lucide-react'
import { useState } from 'react'
import type { DeskTin } from '@/core/desk/state'
import { type Colour, formulaOf, shadeOf } from '@/core/finish/shade'
import { decimalMark, numberText, readFigure } from '@/core/measure/number'
import { ChoiceField, TextField } from '@/ui/form/Field'
import { useHouse } from '@/ui/form/house'

/** as many as a shade is kept to */
const mostColours = 8

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
  const [rows, setRows] = useState(() =>
    colour.parts
      ? colour.parts.map(({ hex, parts }) => ({ hex, parts: numberText(parts, house) }))
      : tins.slice(0, 2).map(({ hex }, k) => ({ hex, parts: numberText(2 - k, house) })),
  )
  if (tins.length < 2) return null
  const amountOf = (text: string) => Number(readFigure(text, decimalMark(house)) ?? 0)
  const change = (at: number, over: Partial<(typeof rows)[number]>) =>
    setRows(rows.map((row, k) => (k === at ? { ...row, ...over } : row)))
  const made = rows.flatMap(({ hex, parts }) => {
    const tin = tins.find((each) => each.hex === hex)
    return tin && amountOf(parts) > 0 ? [{ name: tin.name, hex, parts: amountOf(parts) }] : []
  })
  const whole = made.length === rows.length && new Set(made.map(({ hex }) => hex)).size === rows.length && rows.length > 1
  const unused = tins.find(({ hex }) => rows.every((row) => row.hex !== hex))
  return (
    <details className="mt-2">
      <summary className="tap underline">Mix a shade of several</summary>
      <ul className="mt-1 space-y-3">
        {rows.map(({ hex, parts }, k) => (
          <li key={k} className="grid grid-cols-[5.5rem_1fr_auto] items-end gap-3">
            <TextField
              label="Parts"
              inputMode="decimal"
              value={parts}
              trouble={amountOf(parts) > 0 ? undefined : 'A number, like 2.'}
              onChange={(event) => change(k, { parts: event.target.value })}
            />
            <ChoiceField
              label="of"
              value={hex}
              onChange={(event) => change(k, { hex: event.target.value })}
              options={tins.map((tin) => [tin.hex, tin.name] as const)}
            />
            <button
              type="button"
              className="press px-3"
              aria-label={`Leave out of the shade: ${tins.find((tin) => tin.hex === hex)?.name ?? 'this colour'}`}
              disabled={rows.length <= 2}
              onClick={() => setRows(rows.filter((_, at) => at !== k))}
            >
              <X aria-hidden size={20} />
            </button>
          </li>
        ))}
      </ul>
      <div className="mt-3 flex flex-wrap gap-3">
        <button
          type="button"
          className="press"
          disabled={!unused || rows.length >= mostColours}
          onClick={() => unused && setRows([...rows, { hex: unused.hex, parts: '1' }])}
        >
          One more colour
        </button>
        <button
          type="button"
          className="press"
          disabled={!whole}
          onClick={() =>
            choose({
              name: formulaOf(made),
              hex: shadeOf(made),
              parts: made,
            })
          }
        >
          {whole && (
            <span
              aria-hidden
              className="mr-2 inline-block size-6 rounded-sm border border-ink/30 align-middle"
              style={{ background: shadeOf(made) }}
            />
          )}
          Take this shade
        </button>
      </div>
    </details>
  )
}
