/** What of a thing was put right, as the log tells it: by name, before and after, as texts. Pure. */
import type { Change } from './entry'

type Fact = string | number | boolean | null
const text = (value: Fact): string | null => (value === null ? null : String(value))

/** Of the facts named, those that differ; nothing where all are as they were. */
export const changeOf = <Name extends string>(
  names: readonly Name[],
  before: Readonly<Record<Name, Fact>>,
  after: Readonly<Record<Name, Fact>>,
): Change =>
  Object.fromEntries<Change[string]>(
    names.filter((name) => before[name] !== after[name]).map((name) => [name, [text(before[name]), text(after[name])]]),
  )
