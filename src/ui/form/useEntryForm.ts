'use client'
/** A form over one of the core's schemas: checked here as the server will check it, kept as it was typed, sent once. */
import { zodResolver } from '@hookform/resolvers/zod'
import { useEffect, useState } from 'react'
import { type DefaultValues, type FieldPath, type FieldValues, get, useForm, type UseFormReturn } from 'react-hook-form'
import type * as z from 'zod'
import type { Answer } from '@/core/input/issues'
import { useWrite } from './useWrite'

interface EntryForm<T extends FieldValues> {
  form: UseFormReturn<T>
  submit: (event?: React.BaseSyntheticEvent) => Promise<void>
  pending: boolean
  issue: string | null
  troubleOf: (path: FieldPath<T>) => string | undefined
}

export function useEntryForm<T extends FieldValues>(
  schema: z.ZodType<unknown, T>,
  defaults: DefaultValues<T>,
  action: (typed: T) => Promise<Answer>,
  after: (typed: T, form: UseFormReturn<T>) => void | Promise<void>,
  draftKey?: string,
): EntryForm<T> {
  const made = useForm<T>({ resolver: zodResolver(schema as never, undefined, { raw: true }) as never, defaultValues: defaults })
  // one form for as long as it stands, whatever is handed in at a later drawing
  const [form] = useState(() => withValues(made, defaults))
  const write = useWrite(action)
  useDraft(made, draftKey)

  const submit = form.handleSubmit(async (typed) => {
    if (!(await write.send(typed))) return
    if (draftKey) localStorage.removeItem(draftKey)
    await after(typed, form)
    // what was said of the sending before is no news of this one
  }, write.forget)
  const troubleOf = (path: FieldPath<T>) => {
    const { error } = form.getFieldState(path, form.formState)
    // what is said of a list as a whole stands at its root
    return error?.message ?? error?.root?.message ?? write.fields[path]
  }
  return { form, submit, pending: write.pending, issue: write.issue, troubleOf }
}

/** Keeps what is typed on this device until it is stored on the server. */
function useDraft<T extends FieldValues>(form: UseFormReturn<T>, key: string | undefined): void {
  useEffect(() => {
    if (!key) return
    const kept = localStorage.getItem(key)
    if (kept) form.reset(JSON.parse(kept) as T, { keepDefaultValues: true })
    const watching = form.watch((values) => localStorage.setItem(key, JSON.stringify(values)))
    return () => watching.unsubscribe()
  }, [form, key])
}

/**
 * The fields stand in the markup with their values: a form is there, and can be read and filled in, before any script has run.
 * What was typed or chosen by then counts.
 */
function withValues<T extends FieldValues>(form: UseFormReturn<T>, defaults: DefaultValues<T>): UseFormReturn<T> {
  const met = new WeakSet<HTMLElement>()
  const register: typeof form.register = (name, options) => {
    const value: unknown = get(defaults, name)
    const field = form.register(name, options)
    const ref = (element: HTMLInputElement | null) => {
      const typed =
        element && !met.has(element) && typeof value === 'string' && element.value !== '' && element.value !== value
          ? element.value
          : null
      if (element) met.add(element)
      field.ref(element)
      if (typed !== null) form.setValue(name, typed as never, { shouldDirty: true })
    }
    return {
      ...field,
      ref,
      ...(typeof value === 'string' && { defaultValue: value }),
      ...(typeof value === 'boolean' && { defaultChecked: value }),
    }
  }
  // what changes on the form itself is seen through this one
  return Object.create(form, { register: { value: register } }) as UseFormReturn<T>
}
