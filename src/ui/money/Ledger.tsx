/** What a piece costs, in one table: so far, and when its plan is done; and what the sums leave out. */
import { consumables, type ConsumableUse } from '@/core/craft/consumables'
import { getFamily } from '@/core/craft/families'
import { formatNumber, type Writing } from '@/core/measure/number'
import { type Ledger as Book, type LedgerKind, ledgerKinds, type LeftOut } from '@/core/piece/ledger'
import { ledgerWords } from '@/words/piece'
import { capital } from '@/words/text'
import { hoursWords } from '@/words/time'

interface Props {
  soFar: Book
  /** null where the piece has left */
  whenDone: Book | null
  rate: number
  writing: Writing
  money: (minor: number) => string
}

export function Ledger({ soFar, whenDone, rate, writing, money }: Props) {
  const told = new Set([...soFar.lines, ...(whenDone?.lines ?? [])].map(({ kind }) => kind))
  const kinds = ledgerKinds.filter((kind) => told.has(kind))
  const amountIn = (book: Book, kind: LedgerKind) => book.lines.find((line) => line.kind === kind)?.amount ?? 0
  return (
    <table className="w-full text-lg">
      <thead>
        <tr className="text-right text-base text-soft">
          <th scope="col" className="text-left font-normal">
            <span className="sr-only">What for</span>
          </th>
          <th scope="col" className="font-normal">
            so far
          </th>
          {whenDone && (
            <th scope="col" className="font-normal">
              when done
            </th>
          )}
        </tr>
      </thead>
      <tbody>
        {kinds.map((kind) => (
          <tr key={kind} className="border-b border-line">
            <th scope="row" className="py-1 text-left font-normal">
              {ledgerWords[kind]}
            </th>
            <td className="text-right" data-line={kind}>
              {money(amountIn(soFar, kind))}
            </td>
            {whenDone && <td className="text-right">{money(amountIn(whenDone, kind))}</td>}
          </tr>
        ))}
        <tr>
          <th scope="row" className="py-1 text-left">
            Costs
          </th>
          <td className="text-right font-bold">{money(soFar.total)}</td>
          {whenDone && <td className="text-right font-bold">{money(whenDone.total)}</td>}
        </tr>
        <tr>
          <th scope="row" className="py-1 text-left font-normal text-soft">
            Work, {money(rate)} an hour
          </th>
          <td className="text-right">{hoursWords(soFar.hours, writing)}</td>
          {whenDone && <td className="text-right">{hoursWords(whenDone.hours, writing)}</td>}
        </tr>
      </tbody>
    </table>
  )
}

/** The small things behind the line of consumables. */
export function UsedUp({ used, writing }: { used: readonly ConsumableUse[]; writing: Writing }) {
  const told = used.filter(({ code }) => code !== 'trip')
  if (told.length === 0) return null
  return (
    <details className="mt-2">
      <summary className="tap underline">Small things it uses up</summary>
      <ul className="columns-2 gap-x-8">
        {told.map(({ code, amount }) => (
          <li key={code} className="flex justify-between gap-3 border-b border-line py-0.5">
            <span>{capital(consumables[code].words)}</span>
            <span className="text-soft">{`${formatNumber(amount, writing, 1)} × ${consumables[code].unit}`}</span>
          </li>
        ))}
      </ul>
    </details>
  )
}

const counted = (count: number, one: string, many: string) => (count === 1 ? one : `${count} ${many}`)

/** What a sum counts as nothing because nobody told it a price: said, not hidden. */
export function LeftOutLines({ left }: { left: LeftOut }) {
  const lines = [
    left.unplanned.length > 0 &&
      `No finish is chosen yet for ${left.unplanned.join(' and ').toLowerCase()}: its work and material are not counted.`,
    left.unpricedAhead > 0 &&
      `${counted(left.unpricedAhead, 'One coat ahead has', 'coats ahead have')} no price: put the tin on the shelf.`,
    left.unpricedDone > 0 &&
      `${counted(left.unpricedDone, 'One coat was', 'coats were')} laid from no tin and ${left.unpricedDone === 1 ? 'counts' : 'count'} as nothing.`,
  ].filter((line) => line !== false)
  if (lines.length === 0) return null
  return (
    <div className="mt-3 border-l-4 border-late pl-3">
      {lines.map((line) => (
        <p key={line} className="font-semibold">
          {line}
        </p>
      ))}
      {left.families.length > 0 && (
        <p className="text-soft">Without a price: {left.families.map((code) => getFamily(code).words).join(', ')}.</p>
      )}
    </div>
  )
}
