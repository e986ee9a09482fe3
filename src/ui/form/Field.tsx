'use client'
/** A labelled field: hint, trouble and input tied together for eyes and readers alike. */
import { type ComponentProps, type ReactNode, type Ref, useId } from 'react'

interface Shell {
  label: ReactNode
  hint?: string | undefined
  trouble?: string | undefined
  className?: string | undefined
}
interface Wired {
  id: string
  'aria-invalid': boolean
  'aria-describedby': string | undefined
}

export function Field({ label, hint, trouble, className, children }: Shell & { children: (wired: Wired) => ReactNode }) {
  const id = useId()
  const described = [hint ? `${id}-hint` : null, trouble ? `${id}-trouble` : null].filter(Boolean).join(' ')
  return (
    <div className={className}>
      <label htmlFor={id} className="mb-1 block text-sm font-semibold">
        {label}
      </label>
      {children({ id, 'aria-invalid': trouble !== undefined, 'aria-describedby': described || undefined })}
      {hint && (
        <p id={`${id}-hint`} className="mt-1 text-sm text-soft">
          {hint}
        </p>
      )}
      {trouble && (
        <p id={`${id}-trouble`} role="alert" className="mt-1 text-sm font-semibold text-late">
          {trouble}
        </p>
      )}
    </div>
  )
}

export function TextField({
  label,
  hint,
  trouble,
  className,
  ref,
  ...input
}: Shell & Omit<ComponentProps<'input'>, 'className'> & { ref?: Ref<HTMLInputElement> }) {
  return (
    <Field label={label} hint={hint} trouble={trouble} className={className}>
      {(wired) => <input {...wired} {...input} ref={ref} className="field" />}
    </Field>
  )
}

export function AreaField({
  label,
  hint,
  trouble,
  className,
  ref,
  ...input
}: Shell & Omit<ComponentProps<'textarea'>, 'className'> & { ref?: Ref<HTMLTextAreaElement> }) {
  return (
    <Field label={label} hint={hint} trouble={trouble} className={className}>
      {(wired) => <textarea rows={3} {...wired} {...input} ref={ref} className="field" />}
    </Field>
  )
}

export function ChoiceField({
  label,
  hint,
  trouble,
  className,
  options,
  ref,
  ...input
}: Shell &
  Omit<ComponentProps<'select'>, 'className'> & {
    /** `off`: it is there to be read, and can't be chosen */
    options: readonly (readonly [value: string, words: string, off?: boolean])[]
    ref?: Ref<HTMLSelectElement>
  }) {
  return (
    <Field label={label} hint={hint} trouble={trouble} className={className}>
      {(wired) => (
        <select {...wired} {...input} ref={ref} className="field">
          {options.map(([value, words, off]) => (
            <option key={value} value={value} disabled={off}>
              {words}
            </option>
          ))}
        </select>
      )}
    </Field>
  )
}

/** What went wrong with the whole form, said at once. */
export function Trouble({ children }: { children: ReactNode }) {
  if (!children) return null
  return (
    <p role="alert" className="rounded-sm border-l-4 border-late bg-sheet px-4 py-3 font-semibold text-late">
      {children}
    </p>
  )
}

/** Pairs of a table of words, for a choice. */
export const pairs = <T extends string>(table: Record<T, string | { words: string }>): [T, string][] =>
  (Object.entries(table) as [T, string | { words: string }][]).map(([code, words]) => [
    code,
    typeof words === 'string' ? words : words.words,
  ])

/** The choices, and what stands there where it is none of them. */
export const withOwn = (options: readonly (readonly [string, string])[], value: string, words: string) =>
  options.some(([each]) => each === value) ? options : [...options, [value, words] as const]
