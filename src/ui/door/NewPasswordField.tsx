/** Where a new password is typed, with what makes a good one; and the button that keeps it. */
import type { ComponentProps } from 'react'
import { TextField, Trouble } from '@/ui/form/Field'

type Field = ComponentProps<typeof TextField>

export const NewPasswordField = (field: Pick<Field, 'label' | 'trouble'> & Omit<Field, 'type' | 'autoComplete' | 'hint'>) => (
  <TextField
    {...field}
    type="password"
    autoComplete="new-password"
    hint="Three or four plain words are easy to keep and hard to guess."
  />
)

export function DoorFoot({
  issue,
  pending,
  words,
  busy,
}: {
  issue: string | null
  pending: boolean
  words: string
  busy: string
}) {
  return (
    <>
      <Trouble>{issue}</Trouble>
      <button type="submit" disabled={pending} className="press press-now min-h-14 w-full text-lg sm:w-auto sm:px-10">
        {pending ? busy : words}
      </button>
    </>
  )
}
