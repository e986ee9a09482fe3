'use client'
/** The house method: where good painters disagree, what this house does. A piece may depart from it at the plan desk. */
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { type HouseMethod, schoolCodes, schools } from '@/core/craft/method'
import { methodInput } from '@/core/input/piece'
import { useActions } from '@/ui/form/actions'
import { ChoiceField, pairs } from '@/ui/form/Field'
import { FormFoot } from '@/ui/form/FormFoot'
import { useEntryForm } from '@/ui/form/useEntryForm'
import { schoolWords } from '@/words/method'

export function MethodForm({ method }: { method: HouseMethod }) {
  const { keepMethod } = useActions()
  const router = useRouter()
  const [kept, setKept] = useState(false)
  const { form, submit, pending, issue } = useEntryForm<HouseMethod>(methodInput, method, keepMethod, () => {
    setKept(true)
    router.refresh()
  })
  return (
    <form
      onSubmit={(event) => void submit(event)}
      onChange={() => setKept(false)}
      noValidate
      className="mt-4 grid grid-cols-1 gap-4 sm:grid-cols-2"
    >
      {schoolCodes.map((code) => (
        <ChoiceField
          key={code}
          label={schoolWords[code]}
          {...form.register(code)}
          options={pairs(schools[code] as Record<string, string>)}
        />
      ))}
      <FormFoot
        {...{ issue, pending }}
        words="Keep the method"
        kept={kept && 'Kept. Plans made from now on follow it.'}
        className="sm:col-span-2"
      />
    </form>
  )
}
