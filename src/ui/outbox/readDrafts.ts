/** The reading of drafts: every kind that is written at the bench, by its own schema. */
import { type BenchAction, benchWrites, entryFromText } from '@/core/input/bench'
import type { Read } from './reader'

export const readDrafts: Read = ({ action, typed }, house) =>
  action in benchWrites ? entryFromText(action as BenchAction, typed, house) : null
