/** The days of the week that are worked. */
import type { UseFormRegisterReturn } from 'react-hook-form'
import { Trouble } from '@/ui/form/Field'

/** Monday first, by the number a date gives its day. */
const weekdays = [
  ['1', 'Mon'],
  ['2', 'Tue'],
  ['3', 'Wed'],
  ['4', 'Thu'],
  ['5', 'Fri'],
  ['6', 'Sat'],
  ['0', 'Sun'],
] as const
export function DaysField({ field, trouble }: { field: UseFormRegisterReturn; trouble: string | undefined }) {
  return (
    <fieldset className="col-span-2">
      <legend className="mb-1 text-sm font-semibold">Days worked</legend>
      <div className="flex flex-wrap gap-1.5">
        {weekdays.map(([day, words]) => (
          <label key={day} className="press cursor-pointer px-2">
            <input type="checkbox" value={day} {...field} className="mr-1.5 size-5 accent-now" />
            {words}
          </label>
        ))}
      </div>
      <Trouble>{trouble}</Trouble>
    </fieldset>
  )
}
