'use client'
/** Text that is one change when it is left, not one at every letter. */
import { TextField } from './Field'

export function CommittedField({
  label,
  hint,
  trouble,
  value,
  keep,
}: {
  label: string
  hint?: string | undefined
  trouble?: string | undefined
  value: string
  keep: (value: string) => void
}) {
  return (
    <TextField
      key={value}
      label={label}
      hint={hint}
      trouble={trouble}
      defaultValue={value}
      onBlur={({ target }) => {
        if (target.value.trim() !== value) keep(target.value.trim())
      }}
    />
  )
}
