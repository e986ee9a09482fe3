'use client'
/** When a piece that is being taken in could be ready, with a look on all of it. */
import { useState } from 'react'
import type { UseFormReturn } from 'react-hook-form'
import type { LookCode } from '@/core/craft/looks'
import type { HouseMethod } from '@/core/craft/method'
import { intakeInput, type IntakeText } from '@/core/input/piece'
import type { Supposed } from '@/core/week/weekData'
import { ChoiceField } from '@/ui/form/Field'
import { useHouse } from '@/ui/form/house'
import { ReadyLine } from '@/ui/week/ReadyLine'

export type LookName = readonly [LookCode, string]

interface Props {
  form: UseFormReturn<IntakeText>
  method: HouseMethod
  looks: readonly LookName[]
}

export function IntakeReady({ form, method, looks }: Props) {
  const house = useHouse()
  const [look, setLook] = useState<LookCode>('smooth-solid')
  const [said, setSaid] = useState('')
  const toSuppose = async (): Promise<Supposed | null> => {
    const typed = form.getValues()
    const entered = intakeInput(house)
      .pick({ id: true, parts: true, counted: true, client: true, promisedOn: true, roomId: true })
      .safeParse(typed)
    setSaid(entered.success ? '' : 'Measure its parts first: what can’t be read yet is marked when you take it in.')
    if (!entered.success) return null
    // the planner comes when it is asked for
    const { comesIn } = await import('@/core/piece/comesIn')
    const { file, refused } = comesIn(entered.data, { look, method, at: new Date().toISOString() })
    setSaid(refused.length > 0 ? `Without ${refused.join(', ').toLowerCase()}: it can’t take this look as it is.` : '')
    return { comes: file }
  }
  return (
    <section aria-labelledby="ready" className="grid items-end gap-4 sm:grid-cols-[16rem_1fr]">
      <h2 id="ready" className="title text-3xl sm:col-span-2">
        When it could be ready
      </h2>
      <ChoiceField
        label="With this look on all of it"
        value={look}
        onChange={(event) => setLook(event.target.value as LookCode)}
        options={looks}
        className="self-start"
      />
      <div>
        {said && <p className="text-lg font-semibold">{said}</p>}
        <ReadyLine
          key={look}
          pieceId={form.getValues('id')}
          supposed={toSuppose}
          promise={(day) => form.setValue('promisedOn', day, { shouldDirty: true })}
        />
      </div>
    </section>
  )
}
