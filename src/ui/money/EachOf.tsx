/** A set, priced each: what every one of it has to bring. */
import type { EachPrice } from '@/core/piece/set'

const rungs = { cost: 'Cost', floor: 'Floor', target: 'Target', ask: 'Ask' } as const

export function EachOf({ of, price, money }: { of: number; price: EachPrice; money: (minor: number) => string }) {
  return (
    <section aria-labelledby="each" className="mt-8 border-t-2 border-ink pt-3">
      <h2 id="each" className="title text-3xl">
        Each of the {of}
      </h2>
      <dl className="mt-2 flex flex-wrap gap-x-12 gap-y-3">
        {(Object.entries(rungs) as [keyof typeof rungs, string][]).map(([key, words]) => (
          <div key={key}>
            <dt className="eyebrow">{words}</dt>
            <dd className={`figure text-4xl ${key === 'ask' ? 'text-now' : ''}`} data-each={key}>
              {money(price[key])}
            </dd>
          </div>
        ))}
      </dl>
    </section>
  )
}
