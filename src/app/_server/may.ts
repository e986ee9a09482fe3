/** What whoever asks may write, for pages that are made on the server; the database holds to it whatever a page shows. */
import 'server-only'
import { may } from '@/core/house/roles'
import { whoIsIn } from './whoIsIn'

export async function whatMay(): Promise<(what: string) => boolean> {
  const role = (await whoIsIn())?.role
  return (what) => role !== undefined && may(role, what)
}
