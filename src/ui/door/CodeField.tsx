/** Where the figures of an app are typed, or a printed code. */
import type { ComponentProps } from 'react'
import { TextField } from '@/ui/form/Field'

type Field = ComponentProps<typeof TextField>

export const CodeField = (field: Omit<Field, 'label' | 'inputMode' | 'autoComplete'>) => (
  <TextField
    hint="Or one of the codes that you printed."
    {...field}
    label="The figures of your app"
    autoComplete="one-time-code"
    autoCapitalize="none"
    spellCheck={false}
  />
)
