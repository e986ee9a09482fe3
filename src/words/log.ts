/** An entry of the log in a sentence, by its kind; codes that were changed are told in words. */
import { assessTests, signs } from '@/core/assess/tests'
import { getFamily } from '@/core/craft/families'
import { leadFindings } from '@/core/craft/lead'
import { existingFinishes, oldTones, partKinds, polishes, substrates, uses } from '@/core/craft/parts'
import { getRemedy } from '@/core/craft/remedies'
import { sheens } from '@/core/craft/sheen'
import type { Person } from '@/core/house/studio'
import { type Change, costKinds, type Entry, severities } from '@/core/log/entry'
import { formatAmount } from '@/core/measure/amount'
import { formatArea } from '@/core/measure/length'
import { formatMoney, type Reckoning } from '@/core/measure/money'
import type { ChannelId, PersonId, RoomId } from '@/core/measure/named'
import type { Measuring } from '@/core/measure/units'
import { articles } from '@/core/piece/articles'
import { sources } from '@/core/piece/piece'
import { checkAsks, spotWords, touchWords, verdictWords } from './checks'
import { airWords } from './measure'
import { ledgerWords } from './piece'
import { spanWords } from './time'

export interface LogWords {
  channels: readonly { id: ChannelId; name: string }[]
  rooms?: readonly { id: RoomId; name: string }[]
  /** how money, amounts and figures are written */
  house: Reckoning & Measuring
}

/** What a changed fact is called, and how its value is said. */
const facts: Record<string, { words: string; say?: Readonly<Record<string, unknown>> }> = {
  name: { words: 'name' },
  source: { words: 'from', say: sources },
  sourceNote: { words: 'where exactly' },
  client: { words: 'client' },
  promisedOn: { words: 'promised for' },
  expected: { words: 'should bring' },
  condition: { words: 'condition' },
  roomId: { words: 'stands in' },
  article: { words: 'kind of article', say: articles },
  kind: { words: 'kind', say: partKinds },
  count: { words: 'how many alike' },
  substrate: { words: 'made of', say: substrates },
  existing: { words: 'on it', say: existingFinishes },
  lead: { words: 'lead', say: { ...signs.lead.results, ...leadFindings } },
  use: { words: 'where it will live', say: uses },
  bleeds: { words: 'a test patch bled', say: { true: 'yes', false: 'no' } },
  polish: { words: 'over it', say: polishes },
  slips: { words: 'a test patch came off', say: { true: 'yes', false: 'no' } },
  foundColour: { words: 'the old colour', say: oldTones },
  knots: { words: 'knots' },
  areaM2: { words: 'painted area' },
  stands: { words: 'part', say: { in: 'of the piece', out: 'taken out' } },
}
const tests: Record<string, { words: string; say?: Readonly<Record<string, unknown>> }> = Object.fromEntries(
  [...Object.entries(assessTests), ...Object.entries(signs)].map(([code, { words, results }]) => [
    code,
    { words: words.toLowerCase(), say: { ...results, unknown: 'not known' } },
  ]),
)

function valueWords(name: string, value: string, { rooms, house }: LogWords): string {
  if (name === 'expected' && /^\d+$/.test(value)) return formatMoney(Number(value), house)
  if (name === 'areaM2') return formatArea(Number(value), house)
  if (name === 'roomId') return rooms?.find(({ id }) => id === value)?.name ?? 'another room'
  const said = (facts[name]?.say ?? tests[name]?.say)?.[value]
  if (typeof said === 'string') return said
  return typeof said === 'object' && said !== null && 'words' in said ? String(said.words) : value
}

/** "lead: not known → tested, no lead; look at it: wood under a shine". */
function changeWords(detail: Change, words: LogWords): string {
  return Object.entries(detail)
    .map(([name, [before, after]]) => {
      const called = facts[name]?.words ?? tests[name]?.words ?? name
      const [from, to] = [before, after].map((value) => (value === null ? null : valueWords(name, value, words)))
      return from === null || from === undefined ? `${called}: ${to ?? 'nothing'}` : `${called}: ${from} → ${to ?? 'nothing'}`
    })
    .join('; ')
}

/** What a kind of entry tells beside what it is; in the order it is read. */
function factsOf(entry: Entry, words: LogWords): (string | null | undefined | false)[] {
  const { channels, house } = words
  const money = (minor: number) => formatMoney(minor, house)
  const channel = 'channelId' in entry ? channels.find(({ id }) => id === entry.channelId)?.name : null
  switch (entry.kind) {
    case 'started':
      return [entry.outside && (entry.outside === 'early' ? 'before its window opened' : 'after its window had closed')]
    case 'ended':
      return [
        entry.minutes !== null && `took ${entry.minutes} min`,
        entry.money !== null && entry.money > 0 && `small things ${money(entry.money)}`,
      ]
    case 'helped':
      return [`took ${entry.minutes} min`]
    case 'checked':
      return [checkAsks[entry.checkCode], verdictWords[entry.result]]
    case 'seen':
      return [touchWords[entry.result]]
    case 'assisted':
    case 'unassisted':
      return [entry.assist === 'fan' ? 'fan' : 'heat gun']
    case 'snag': {
      const remedy = entry.remedy && getRemedy(entry.remedy)
      return [
        remedy && `${remedy.words}. ${remedy.cause}`,
        severities[entry.severity],
        entry.spot !== null && spotWords[entry.spot],
      ]
    }
    case 'mixed':
      return [`${formatAmount(entry.batch.volume, entry.batch.unit, house)} of ${entry.batch.mix}`, money(entry.money)]
    case 'put-by':
      return [
        formatAmount(entry.rest.amount, entry.rest.unit, house),
        entry.rest.lotId ? 'kept as a tin' : 'thrown away',
        money(entry.money),
      ]
    case 'coat': {
      const { coat } = entry
      return [
        `${formatAmount(coat.amount, coat.unit, house)} ${getFamily(coat.family).words}`,
        coat.mix,
        coat.applicator,
        coat.batchId && 'from a mix',
        coat.film !== 'normal' && `${coat.film} film`,
        coat.sheen && sheens[coat.sheen],
        coat.place,
        entry.temperature !== null &&
          entry.humidity !== null &&
          airWords({ temperature: entry.temperature, humidity: entry.humidity }, house),
        money(entry.money),
      ]
    }
    case 'cost':
      return [costKinds[entry.costKind], money(entry.money)]
    case 'listed':
      return [channel, money(entry.money)]
    case 'sold':
    case 'handed-over':
      return [channel, money(entry.money), entry.fees > 0 && `fees ${money(entry.fees)}`]
    case 'amended':
      return [changeWords(entry.detail, words)]
    case 'split': {
      const { sign, costs, minutes } = entry.detail
      const shares = Object.entries(costs).map(
        ([kind, minor]) => `${ledgerWords[kind as keyof typeof costs].toLowerCase()} ${money(minor)}`,
      )
      return [sign > 0 ? 'came here' : 'went from here', ...shares, minutes > 0 && `${spanWords(minutes)} of work`]
    }
    case 'paused':
      return [entry.detail && 'the first side is laid']
    case 'resumed':
    case 'left-out':
    case 'note':
    case 'kept':
    case 'given':
    case 'scrapped':
    case 'struck':
      return []
  }
}

/** One entry in a sentence. */
export const entrySentence = (entry: Entry, words: LogWords): string =>
  [...factsOf(entry, words), entry.note].filter(Boolean).join(' · ')

/** Whose hands an entry was, and who wrote it where that was somebody else; empty where nobody said. */
export function whoWords({ personId, writtenBy }: Pick<Entry, 'personId' | 'writtenBy'>, people: readonly Person[]): string {
  const nameOf = (id: PersonId | null) => people.find((person) => person.id === id)?.name
  const [hands, writer] = [nameOf(personId), nameOf(writtenBy)]
  if (!hands || !writer || hands === writer) return hands ?? writer ?? ''
  return `${hands}, written by ${writer}`
}
