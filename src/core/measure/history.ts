/** Anything that is changed by hand, with all that it was before: undone and done again without end. Pure. */
export interface History<T> {
  now: T
  /** as it was before each change, the last first */
  past: readonly T[]
  /** what was undone, the last first */
  future: readonly T[]
  /** what is being changed letter by letter */
  running?: string | undefined
}

export const beginHistory = <T>(now: T): History<T> => ({ now, past: [], future: [] })

/** After one change; `running` names what changes letter by letter, which is undone as one. What changes nothing is not remembered. */
export function goOn<T>(history: History<T>, now: T, running?: string): History<T> {
  if (now === history.now) return history
  const goesOn = running !== undefined && history.running === running
  return { now, past: goesOn ? history.past : [history.now, ...history.past], future: [], running }
}
export function undo<T>({ now, past, future }: History<T>): History<T> {
  const [before, ...earlier] = past
  return past.length > 0 ? { now: before as T, past: earlier, future: [now, ...future] } : { now, past, future }
}
export function redo<T>({ now, past, future }: History<T>): History<T> {
  const [after, ...later] = future
  return future.length > 0 ? { now: after as T, past: [now, ...past], future: later } : { now, past, future }
}
