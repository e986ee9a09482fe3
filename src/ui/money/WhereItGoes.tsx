/** Where the ask goes: the price as one board, sawn into what takes it. */
import type { PriceShare } from '@/core/price/ways'
import { shareWords } from '@/words/piece'
import { SawnBoard, SawnRows } from './SawnBoard'

interface Props {
  ask: number
  shares: readonly PriceShare[]
  short: number
  money: (minor: number) => string
}

export function WhereItGoes({ ask, shares, short, money }: Props) {
  return (
    <section aria-labelledby="goes" className="border-t-2 border-ink pt-4">
      <h2 id="goes" className="title text-3xl">
        Where {money(ask)} goes
      </h2>
      <SawnBoard whole={ask} shares={shares} className="mt-3 h-20" />
      <SawnRows shares={shares} wordsOf={shareWords} money={money} className="mt-3 text-lg" />
      {short > 0 && (
        <p className="mt-2 border-l-4 border-late pl-3 font-semibold">{money(short)} of it is not paid by this price.</p>
      )}
    </section>
  )
}
