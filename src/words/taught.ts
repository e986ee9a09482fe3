/** What pieces taught, in words. */
import { looks } from '@/core/craft/looks'
import type { Person, SalesChannel } from '@/core/house/studio'
import type { TaughtBy } from '@/core/house/taught'
import { articles } from '@/core/piece/articles'
import { sources } from '@/core/piece/piece'
import { capital } from './text'
import { dateFormat, type Wall } from './time'

export const byWords: Record<TaughtBy, string> = {
  look: 'by look',
  article: 'by article',
  source: 'by where from',
  channel: 'by where sold',
  month: 'by month',
  painter: 'by painter',
}
const unknown: Record<TaughtBy, string> = {
  look: 'Nothing painted',
  article: 'Another kind',
  source: 'From somewhere',
  channel: 'Straight to the client',
  month: 'Some month',
  painter: 'Hands not named',
}
interface Around {
  wall: Wall
  channels: readonly SalesChannel[]
  people: readonly Person[]
}
/** What a group of pieces is called. */
export function groupWords(by: TaughtBy, key: string | null, { wall, channels, people }: Around): string {
  if (key === null) return unknown[by]
  const called: Record<TaughtBy, () => string | undefined> = {
    look: () => (key in looks ? looks[key as keyof typeof looks].words : undefined),
    article: () => (key in articles ? articles[key as keyof typeof articles].words : undefined),
    source: () => (key in sources ? capital(sources[key as keyof typeof sources]) : undefined),
    channel: () => channels.find(({ id }) => id === key)?.name,
    month: () => dateFormat(wall.locale, 'UTC', { month: 'long', year: 'numeric' }).format(Date.parse(`${key}-15T12:00:00Z`)),
    painter: () => people.find(({ id }) => id === key)?.name,
  }
  return called[by]() ?? unknown[by]
}
