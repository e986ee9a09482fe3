/** What happened at the doors, and to what the house goes by, in words. */
import type { ChangedFacts, DoorEvent, HouseThing } from '@/core/house/doorEvents'
import type { Role } from '@/core/house/roles'
import { formatMoney, type Reckoning } from '@/core/measure/money'
import { formatNumber } from '@/core/measure/number'
import { roleWords } from './roles'

export interface Happened {
  what: DoorEvent
  /** names one signs in with */
  by: string | null
  about: string | null
  role: Role | null
  agent: string | null
  thing: HouseThing | null
  named: string | null
  facts: ChangedFacts | null
}
/** What happened, as one sentence. */
export function happenedWords({ what, by, about, role, agent, thing, named, facts }: Happened, house: Reckoning): string {
  if (thing) return thingWords({ what, who: by ?? 'Somebody', thing, named: named ?? '', facts }, house)
  const whom = about ?? 'Somebody'
  const other = by !== null && by !== about ? by : null
  const as = role ? roleWords[role] : 'somebody'
  const sentences: Record<Exclude<DoorEvent, 'made' | 'changed' | 'ended'>, string> = {
    'came-in': `${whom} came in, on ${deviceWords(agent)}.`,
    'went-out': `${whom} went out, on ${deviceWords(agent)}.`,
    'signed-out': `${other ?? whom} signed ${other ? whom : 'themself'} out on ${deviceWords(agent)}.`,
    copied: `Two devices came by one sign-in of ${whom}, on ${deviceWords(agent)}: it was ended. If one of them was not theirs, a new password is due.`,
    joined: `${whom} joined as ${as}.`,
    role: `${whom} is ${as === 'owner' ? 'an' : 'a'} ${as} here now${other ? `, says ${other}` : ''}.`,
    'sent-away': `${whom} comes in no more${other ? `, says ${other}` : ''}.`,
    password: `${whom} has another password.`,
    'codes-on': `${whom} comes in with a code from an app from now on.`,
    'codes-off': `${whom} comes in without codes from now on${other ? `, says ${other}` : ''}.`,
    'printed-code': `${whom} used one of their printed codes.`,
    'codes-asked': `${by ?? 'Somebody'} asks a code from an app of everybody.`,
    'codes-left': `${by ?? 'Somebody'} leaves a code from an app to each.`,
    'key-made': `${whom} made a key for another program: ${agent ?? ''}.`,
    'key-ended': `The key of another program was taken back: ${agent ?? ''}.`,
    'passkey-made': `${whom} comes in by a passkey, too: ${agent ?? ''}.`,
    'passkey-ended': `A passkey of ${whom} opens nothing any more: ${agent ?? ''}.`,
    invited: `${by ?? 'Whoever runs the machine'} made a link for ${as === 'owner' ? 'an' : 'a'} ${as}.`,
    'invitation-back': `${by ?? 'Whoever runs the machine'} took back a link for ${as === 'owner' ? 'an' : 'a'} ${as}.`,
  }
  return what in sentences ? sentences[what as keyof typeof sentences] : ''
}

type How = 'money' | 'share' | 'text' | 'unsaid'
/** What is told of a change, by its column, and how its figures are written; what isn't named here is told as changed alone. */
const factWords: Readonly<Record<string, readonly [string, How]>> = {
  name: ['its name', 'text'],
  currency: ['the currency', 'text'],
  zone: ['the zone', 'text'],
  locale: ['how figures are written', 'text'],
  units: ['the measures', 'text'],
  hour_rate: ['an hour of work', 'money'],
  overhead_rate: ['overhead an hour', 'money'],
  tax_mode: ['how tax is reckoned', 'text'],
  tax_share: ['tax', 'share'],
  haggle_share: ['what is haggled off', 'share'],
  price_step: ['what prices end on', 'money'],
  price: ['the price', 'money'],
  fee_share: ['its share', 'share'],
  fee_fixed: ['its fee', 'money'],
  rent: ['its rent a month', 'money'],
  pricing: ['how prices are made', 'unsaid'],
  wish_kind: ['what a piece should earn', 'unsaid'],
  wish_value: ['what a piece should earn', 'unsaid'],
  works_from: ['the hours', 'unsaid'],
  works_to: ['the hours', 'unsaid'],
  works_days: ['the hours', 'unsaid'],
  method: ['the house method', 'unsaid'],
  consumables: ['what small things cost', 'unsaid'],
  drying_places: ['the places to dry', 'text'],
  size: ['the size', 'text'],
}
const madeWords: Record<HouseThing, (who: string, named: string) => string> = {
  studio: (who) => `${who} made the house.`,
  channel: (who, named) => `${who} sells through ${named} from now on.`,
  product: (who, named) => `${who} put ${named} on the shelf.`,
  person: (who, named) => `${who} added the hands of ${named}.`,
  plan: (who, named) => `${who} planned ${named}.`,
  calendar_feed: (who) => `${who} made a private address of the calendar.`,
  client_link: (who, named) => `${who} made a client’s link to ${named}.`,
  client: (who, named) => `${who} wrote down whose ${named} is.`,
}
const thingCalled: Record<HouseThing, (named: string) => string> = {
  studio: () => 'the house',
  channel: (named) => named,
  product: (named) => named,
  person: (named) => named,
  plan: (named) => named,
  calendar_feed: () => 'a private address of the calendar',
  client_link: (named) => `a client’s link to ${named}`,
  client: (named) => `the client of ${named}`,
}
function thingWords(
  {
    what,
    who,
    thing,
    named,
    facts,
  }: { what: DoorEvent; who: string; thing: HouseThing; named: string; facts: ChangedFacts | null },
  house: Reckoning,
): string {
  if (what === 'made') return madeWords[thing](who, named)
  if (what === 'ended' && thing === 'client') return `${who} erased what was known of ${thingCalled[thing](named)}.`
  if (what === 'ended') return `${who} took back ${thingCalled[thing](named)}.`
  const told = Object.entries(facts ?? {}).map(([column, [was, now]]) => {
    const [words, how] = factWords[column] ?? [column.replaceAll('_', ' '), 'unsaid']
    return how === 'unsaid' ? words : `${words} ${written(was, how, house)} → ${written(now, how, house)}`
  })
  const changes = [...new Set(told)].join(', ')
  return `${who} changed ${thingCalled[thing](named)}${changes ? `: ${changes}` : ''}.`
}
function written(value: unknown, how: How, house: Reckoning): string {
  if (value === null || value === undefined) return 'none'
  if (how === 'money') return formatMoney(Number(value), house)
  if (how === 'share') return `${formatNumber(Number(value) * 100, house, 1)} %`
  return typeof value === 'string' || typeof value === 'number' ? String(value) : 'another'
}
/** A device by what its browser says of itself. */
export function deviceWords(agent: string | null): string {
  const said = agent ?? ''
  if (/tablet/i.test(said)) return 'a tablet'
  if (/mobi/i.test(said)) return 'a phone'
  return /^mozilla/i.test(said) ? 'a computer' : 'some device'
}
