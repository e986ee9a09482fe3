'use client'
/** A step of the painter's own among those of the plan: an operation, or their own words, with its minutes. */
import { useState } from 'react'
import { standardMinutes } from '@/core/craft/minutes'
import { getOperation, type OperationCode } from '@/core/craft/operations'
import { parseMinutes } from '@/core/measure/minutes'
import { ownOperations, type OwnStep, type Spot } from '@/core/plan/stepEdits'
import { ChoiceField, TextField } from '@/ui/form/Field'
import { useTapGuard } from '@/ui/form/useTapGuard'

interface Props {
  areaM2: number
  /** where it may stand, by the step it comes after */
  spots: readonly { words: string; at: Spot }[]
  newId: () => string
  add: (step: OwnStep) => void
}

export function AddStep({ areaM2, spots, newId, add }: Props) {
  const [operation, setOperation] = useState<OperationCode>('own')
  const [words, setWords] = useState('')
  const [minutes, setMinutes] = useState('')
  const [spot, setSpot] = useState<number | null>(null)
  const [trouble, setTrouble] = useState<{ words?: string; minutes?: string }>({})
  const { guard, stir } = useTapGuard()
  const usual = standardMinutes(operation, { areaM2, items: 1 })
  const own = operation === 'own'
  const put = () => {
    const said = words.trim()
    const lasts = minutes.trim() === '' ? (own ? 10 : usual) : parseMinutes(minutes)
    const next = {
      ...(own && said === '' && { words: 'Say what is to be done.' }),
      ...((lasts === null || lasts < 1) && { minutes: 'Minutes like 35 or 1 h 20.' }),
    }
    setTrouble(next)
    const at = spots[spot ?? spots.length - 1]?.at
    if (Object.keys(next).length > 0 || lasts === null || !at) return
    stir()
    add({ id: newId(), at, like: null, operation, words: said === '' ? null : said, minutes: lasts, check: null })
    setWords('')
    setMinutes('')
  }
  return (
    <details className="mt-2">
      <summary className="tap underline">A step of your own</summary>
      <div className="grid grid-cols-2 items-end gap-x-4 gap-y-3 pt-1">
        <ChoiceField
          label="What kind"
          value={operation}
          onChange={(event) => setOperation(event.target.value as OperationCode)}
          options={ownOperations.map((code) => [code, code === 'own' ? 'in your own words' : getOperation(code).words])}
        />
        <TextField
          label={own ? 'What is to be done' : 'In your own words, if you like'}
          value={words}
          maxLength={120}
          trouble={trouble.words}
          onChange={(event) => setWords(event.target.value)}
        />
        <ChoiceField
          label="It comes"
          value={String(spot ?? spots.length - 1)}
          onChange={(event) => setSpot(Number(event.target.value))}
          options={spots.map(({ words: said }, k) => [String(k), said])}
        />
        <TextField
          label="Minutes"
          inputMode="text"
          placeholder={String(own ? 10 : usual)}
          value={minutes}
          trouble={trouble.minutes}
          onChange={(event) => setMinutes(event.target.value)}
        />
        <button type="button" className="press min-h-12 px-5" {...guard(put)}>
          Put it in
        </button>
      </div>
    </details>
  )
}
