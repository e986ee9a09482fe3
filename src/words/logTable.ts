/** A piece's log as rows a spreadsheet shows: words, figures with their units in the heading, the wall's own time. */
import { getFamily } from '@/core/craft/families'
import type { Person } from '@/core/house/studio'
import type { House } from '@/core/input/fields'
import type { Entry } from '@/core/log/entry'
import { plainMoney } from '@/core/measure/money'
import type { PersonId } from '@/core/measure/named'
import { wallTimeOf } from '@/core/measure/time'
import type { PieceFile } from '@/core/piece/piece'
import { stepsOf } from '@/core/piece/work'
import { stepTitle } from './craft'
import { entrySentence, type LogWords } from './log'
import { entryWords } from './piece'

interface Around extends LogWords {
  house: House
  people: readonly Person[]
}
type Row = Record<string, string | number>

/** Every entry, corrected and struck ones too, oldest first; each row has every column. */
export function logTable(file: PieceFile, around: Around): Row[] {
  const { currency, zone, hidesMoney } = around.house
  const steps = stepsOf(file)
  const parts = new Map([...file.parts, ...file.takenOut].map(({ id, name }) => [id, name]))
  const line = new Map(file.log.map(({ id }, k) => [id, k + 1]))
  const nameOf = (personId: PersonId | null) => around.people.find(({ id }) => id === personId)?.name ?? ''
  return file.log.map((entry, k): Row => {
    const step = entry.stepId === null ? undefined : steps.get(entry.stepId)
    const used = usedIn(entry)
    const money = (minor: number | null | undefined) =>
      minor === undefined || minor === null || hidesMoney ? '' : plainMoney(minor, currency)
    return {
      Line: k + 1,
      [`When (${zone})`]: wallTimeOf(entry.at, zone).replace('T', ' '),
      What: entryWords[entry.kind],
      Part: (entry.partId && parts.get(entry.partId)) ?? '',
      Step: step ? stepTitle(step) : '',
      Who: nameOf(entry.personId),
      'Written by': nameOf(entry.writtenBy),
      Minutes: 'minutes' in entry ? (entry.minutes ?? '') : '',
      Product: used ? getFamily(used.family).words : '',
      Amount: used?.amount ?? '',
      Unit: used?.unit ?? '',
      Mix: used?.mix ?? '',
      [`Money, ${currency}`]: money('money' in entry ? entry.money : undefined),
      [`Fees, ${currency}`]: money('fees' in entry ? entry.fees : undefined),
      'Temperature, °C': 'temperature' in entry ? (entry.temperature ?? '') : '',
      'Humidity, %': 'humidity' in entry ? (entry.humidity ?? '') : '',
      Said: entrySentence(entry, around),
      'In place of line': entry.corrects === null ? '' : (line.get(entry.corrects) ?? ''),
    }
  })
}

function usedIn(entry: Entry) {
  if (entry.kind === 'coat') return entry.coat
  if (entry.kind === 'put-by') return { ...entry.rest, mix: null }
  return entry.kind === 'mixed' ? { ...entry.batch, amount: entry.batch.volume } : null
}
