'use client'
/** What small things cost: sheets, rags, gloves. Most stay as they are for years, so they are folded away until they are wanted. */
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { useWatch } from 'react-hook-form'
import { consumableCodes, type ConsumablePrices, consumables } from '@/core/craft/consumables'
import { consumablesInput, type ConsumablesText } from '@/core/input/house'
import { moneyText } from '@/core/measure/money'
import { useActions } from '@/ui/form/actions'
import { TextField } from '@/ui/form/Field'
import { FormFoot } from '@/ui/form/FormFoot'
import { useHouse } from '@/ui/form/house'
import { useEntryForm } from '@/ui/form/useEntryForm'
import { capital } from '@/words/text'

export function ConsumablesForm({ prices }: { prices: ConsumablePrices }) {
  const { keepConsumables } = useActions()
  const house = useHouse()
  const router = useRouter()
  const [kept, setKept] = useState(false)
  const [defaults] = useState<ConsumablesText>(
    () => Object.fromEntries(consumableCodes.map((code) => [code, moneyText(prices[code], house)])) as ConsumablesText,
  )
  const { form, submit, pending, issue, troubleOf } = useEntryForm<ConsumablesText>(
    consumablesInput(house),
    defaults,
    keepConsumables,
    () => {
      setKept(true)
      router.refresh()
    },
  )
  const typed = useWatch({ control: form.control })
  const unpriced = consumableCodes.filter((code) => !typed[code]?.trim())
  return (
    <details className="mt-2">
      <summary className="tap text-lg underline">What each of them costs</summary>
      <form
        onSubmit={(event) => void submit(event)}
        onChange={() => setKept(false)}
        noValidate
        className="mt-3 grid grid-cols-2 items-end gap-4 sm:grid-cols-4"
      >
        {consumableCodes.map((code) => (
          <TextField
            key={code}
            label={`${capital(consumables[code].words)}, a ${consumables[code].unit}`}
            inputMode="decimal"
            {...form.register(code)}
            trouble={troubleOf(code)}
          />
        ))}
        {unpriced.length > 0 && (
          <p className="col-span-2 font-semibold text-late sm:col-span-4">
            Without a price, and counted as nothing: {unpriced.map((code) => consumables[code].words).join(', ')}.
          </p>
        )}
        <FormFoot
          {...{ issue, pending }}
          words={`Keep what they cost, ${house.currency}`}
          kept={kept && 'Kept.'}
          className="col-span-2 sm:col-span-4"
        />
      </form>
    </details>
  )
}
