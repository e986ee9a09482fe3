/** Where a new password is typed, with what makes a good one. */
import type { ComponentProps } from 'react'
import { TextField } from '@/ui/form/Field'

type Field = ComponentProps<typeof TextField>

export const NewPasswordField = (field: Pick<Field, 'label' | 'trouble'> & Omit<Field, 'type' | 'autoComplete' | 'hint'>) => (
  <TextField
    {...field}
    type="password"
    autoComplete="new-password"
    hint="Three or four plain words are easy to keep and hard to guess."
  />
)
