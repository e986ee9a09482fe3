'use client'
/** A layer laid in a pattern: its measures, drawn on the face as they are typed, and the tape it takes. */
import { useState } from 'react'
import { type Face, type Pattern, patternFault, type PatternKind, tapeMetres } from '@/core/craft/pattern'
import { formatLength, lengthText, parseLength } from '@/core/measure/length'
import { formatNumber } from '@/core/measure/number'
import { PatternDrawing } from '@/ui/drawing/PatternDrawing'
import { CommittedField } from '@/ui/form/CommittedField'
import { ChoiceField, pairs } from '@/ui/form/Field'
import { useHouse } from '@/ui/form/house'

interface Props {
  pattern: Pattern | undefined
  face: Face
  hex: string
  under: string
  keep: (pattern: Pattern | null) => void
}

/** A first pattern that fits the face. */
function firstOf(kind: PatternKind, { width, height }: Face): Pattern {
  const whole = (mm: number) => Math.max(5, Math.round(mm / 5) * 5)
  return kind === 'stripes'
    ? { kind, count: 5, width: whole(width / 12), gap: whole(width / 12), run: 'upright', from: 'middle' }
    : { kind, across: 3, down: 2, width: whole(width / 6), height: whole(height / 5), gap: whole(width / 12) }
}
const kindWords: Record<PatternKind, string> = { stripes: 'stripes, taped', stencil: 'stencil, repeated' }
const runWords = { upright: 'upright', across: 'across' } as const
const fromWords = { middle: 'the middle', edge: 'one side' } as const

export function PatternFields({ pattern, face, hex, under, keep }: Props) {
  const house = useHouse()
  return (
    <div className="grid grid-cols-2 items-end gap-4 sm:col-span-2 sm:grid-cols-4">
      <ChoiceField
        label="In a pattern"
        className="col-span-2"
        value={pattern?.kind ?? ''}
        onChange={({ target: { value } }) => keep(value === '' ? null : firstOf(value as PatternKind, face))}
        options={[['', 'no pattern'], ...pairs(kindWords)]}
      />
      {pattern?.kind === 'stripes' && (
        <>
          <Whole label="How many" value={pattern.count} keep={(count) => keep({ ...pattern, count })} />
          <Length label="Each wide" value={pattern.width} keep={(width) => keep({ ...pattern, width })} />
          <Length label="Apart" value={pattern.gap} keep={(gap) => keep({ ...pattern, gap })} />
          <ChoiceField
            label="They run"
            value={pattern.run}
            onChange={(event) => keep({ ...pattern, run: event.target.value as typeof pattern.run })}
            options={pairs(runWords)}
          />
          <ChoiceField
            label="Set out from"
            value={pattern.from}
            onChange={(event) => keep({ ...pattern, from: event.target.value as typeof pattern.from })}
            options={pairs(fromWords)}
          />
        </>
      )}
      {pattern?.kind === 'stencil' && (
        <>
          <Whole label="Repeats across" value={pattern.across} keep={(across) => keep({ ...pattern, across })} />
          <Whole label="Repeats down" value={pattern.down} keep={(down) => keep({ ...pattern, down })} />
          <Length label="Each wide" value={pattern.width} keep={(width) => keep({ ...pattern, width })} />
          <Length label="Each high" value={pattern.height} keep={(height) => keep({ ...pattern, height })} />
          <Length label="Apart" value={pattern.gap} keep={(gap) => keep({ ...pattern, gap })} />
        </>
      )}
      {pattern && (
        <div className="col-span-2 sm:col-span-4">
          <PatternDrawing pattern={pattern} face={face} hex={hex} under={under} house={house} className="w-full max-w-md" />
          <p className="text-soft">
            On a face of {formatLength(face.width, house)} by {formatLength(face.height, house)}
            {face.count > 1 ? `, ${face.count} of them` : ''}
            {pattern.kind === 'stripes' && (
              <>
                {' · '}
                <strong className="text-ink">{formatNumber(tapeMetres(pattern, face), house, 1)} m of tape</strong>
              </>
            )}
          </p>
          {patternFault(pattern, face) && (
            <p className="border-l-4 border-late pl-3 font-semibold">It is wider than the face: fewer, narrower, or closer.</p>
          )}
        </div>
      )}
    </div>
  )
}

function Whole({ label, value, keep }: { label: string; value: number; keep: (value: number) => void }) {
  const [trouble, setTrouble] = useState<string | undefined>()
  return (
    <CommittedField
      label={label}
      value={String(value)}
      trouble={trouble}
      keep={(text) => {
        const count = Number(text)
        const read = Number.isInteger(count) && count >= 1 && count <= 99
        setTrouble(read ? undefined : 'A whole number from 1 to 99.')
        if (read) keep(count)
      }}
    />
  )
}

function Length({ label, value, keep }: { label: string; value: number; keep: (mm: number) => void }) {
  const house = useHouse()
  const [trouble, setTrouble] = useState<string | undefined>()
  return (
    <CommittedField
      label={`${label}, ${house.units === 'metric' ? 'cm' : 'in'}`}
      value={lengthText(value, house)}
      trouble={trouble}
      keep={(text) => {
        const mm = parseLength(text, house)
        setTrouble(mm === null ? `A length like ${lengthText(40, house)}.` : undefined)
        if (mm !== null) keep(mm)
      }}
    />
  )
}
