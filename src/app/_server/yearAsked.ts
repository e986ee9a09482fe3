/** The year that a table for a bookkeeper is asked for, and where it begins and ends on the studio's wall. */
import 'server-only'
import * as z from 'zod'
import { dayOf, instantOf } from '@/core/measure/time'

const asked = z.coerce.number().int().min(2000).max(2098)

/** This year unless another is asked for; null for what is none. */
export function yearAsked(params: URLSearchParams, zone: string) {
  const parsed = asked.safeParse(params.get('year') ?? dayOf(new Date().toISOString(), zone).slice(0, 4))
  if (!parsed.success) return null
  const year = parsed.data
  const startOf = (n: number) => instantOf(`${n}-01-01T00:00`, zone) ?? `${n}-01-01T00:00:00.000Z`
  return { year, from: startOf(year), to: startOf(year + 1) }
}
