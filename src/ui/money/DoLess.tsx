/** What a piece could do without, where the market will not bear its hours: each with what it saves, and what an hour earns then. */
import { getOperation } from '@/core/craft/operations'
import type { Less, Lesser } from '@/core/house/doLess'
import type { Studio } from '@/core/house/studio'
import { Link } from '@/ui/frame/Link'
import { changeWords } from '@/words/change'
import { spanWords } from '@/words/time'

interface Props {
  pieceId: string
  all: readonly Less[]
  /** an hour earns so much as it is planned; null where nobody knows what it brings */
  earned: number | null
  studio: Pick<Studio, 'hourRate'>
  money: (minor: number) => string
}
const words = (change: Lesser): string =>
  change.kind === 'without'
    ? `Without: ${getOperation(change.operation).words.toLowerCase()}${change.steps > 1 ? `, ${change.steps} times` : ''}`
    : changeWords(change)

export function DoLess({ pieceId, all, earned, studio, money }: Props) {
  return (
    <section aria-labelledby="less" className="mt-10 border-t-2 border-ink pt-4">
      <h2 id="less" className="title text-3xl">
        Do less
      </h2>
      <p className="mt-1 text-soft">
        {all.length === 0
          ? 'Nothing that is ahead can be left out, and no look that holds here takes less.'
          : `Each saves its hours at ${money(studio.hourRate)} and what is not laid; keep it where it brings more than that.`}
        {earned !== null && ` As planned an hour earns ${money(earned)}.`}
      </p>
      <ul className="mt-2">
        {all.map((less, k) => (
          <li key={k} className="flex flex-wrap items-baseline justify-between gap-x-6 gap-y-1 border-b border-line py-2">
            <span className="text-lg">
              <Link href={`/pieces/${pieceId}/plan/${less.partId}`}>{words(less.change)}</Link>{' '}
              <span className="text-soft">{less.part}</span>
            </span>
            <span className="flex items-baseline gap-6">
              <span>
                {spanWords(less.minutes)} less{less.earned !== null && `, an hour earns ${money(less.earned)}`}
              </span>
              <span className="figure text-2xl">{money(less.saved)}</span>
            </span>
          </li>
        ))}
      </ul>
    </section>
  )
}
