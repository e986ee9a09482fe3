/**
 * What has to be bought for a hundred pieces off a shelf of two hundred tins, and what one part can be made into with those tins alone: the
 * median of five, beside one plan of a part in the same run. Fails past its limits. Usage: npm run bench:shelf.
 */
import { type FamilyCode, paintCodes, unitOf } from '@/core/craft/families'
import { defaultMethod } from '@/core/craft/method'
import { reachableFrom } from '@/core/finish/reachable'
import type { FinishablePart } from '@/core/finish/wish'
import { randomFrom } from '@/core/measure/random'
import { noMeans } from '@/core/plan/figures'
import { whatCanBeMade } from '@/core/plan/fromShelf'
import { planFinish } from '@/core/plan/planFinish'
import { type Need, toBuy } from '@/core/stock/buy'

/** ms that each may take */
const allowed = { buy: 1_000, mix: 500, make: 2_500 }
const chance = randomFrom(7)
const hex = () =>
  `#${Math.floor(0x101010 + chance() * 0xe0e0e0)
    .toString(16)
    .padStart(6, '0')}`
const others: FamilyCode[] = [
  'clear-wax',
  'water-clear',
  'hard-clear',
  'adhesion-primer',
  'blocking-primer',
  'drying-oil',
  'glaze',
  'dark-wax',
]
const shelf = [
  ...Array.from({ length: 200 - others.length }, (_, k) => {
    const family = paintCodes[k % paintCodes.length] ?? 'clay'
    return { family, hex: hex(), name: `Tin ${k}`, amount: Math.round(20 + chance() * 500) }
  }),
  ...others.map((family) => ({ family, hex: null, name: null, amount: 800 })),
]
// each piece takes of two paints and a topcoat, each in two or three coats
const needs: Need[] = Array.from({ length: 100 }, () => {
  const some = Array.from({ length: 2 }, () => shelf[Math.floor(chance() * (200 - others.length))] as (typeof shelf)[0])
  const clear = others[Math.floor(chance() * 3)] as FamilyCode
  return [
    ...some.map(({ family, hex: colour, name }) => ({ family, hex: colour, name })),
    { family: clear, hex: null, name: null },
  ]
})
  .flat()
  .map((need) => ({ ...need, uses: Array.from({ length: 2 + Math.floor(chance() * 2) }, () => Math.round(40 + chance() * 200)) }))
const sizes = { ml: [120, 500, 1_000], g: [200, 400] } as const
const offersFor = ({ family }: Need) => sizes[unitOf(family)].map((size, k) => ({ size, price: 700 + size * (4 - k) }))

const part: FinishablePart = { substrate: 'close-grained', existing: 'water-paint', lead: 'unlikely', use: 'light', areaM2: 2.5 }
const wanted = { a: { name: 'Pigeon Roof', hex: '#6d7072' }, b: { name: 'Oat Husk', hex: '#e3d7bd' } }
const inTins = (paint: FamilyCode) =>
  shelf.flatMap((tin) => (tin.family === paint && tin.hex ? [{ ...tin, hex: tin.hex, name: tin.name ?? '' }] : []))

function median(work: () => void, times = 5): number {
  work()
  const spans = Array.from({ length: times }, () => {
    const begun = performance.now()
    work()
    return performance.now() - begun
  })
  return spans.sort((a, b) => a - b)[Math.floor(times / 2)] ?? NaN
}
const plan = median(() => planFinish(part, { look: 'smooth-solid', paint: 'clay', colours: wanted }, defaultMethod), 61)
const spans = {
  buy: median(() => toBuy(needs, { shelf, offersFor, takeOf: () => ({ factor: 1, scatter: 0.2 }), share: 0.8 })),
  mix: median(() => paintCodes.forEach((paint) => reachableFrom(wanted.a.hex, inTins(paint)))),
  make: median(() => whatCanBeMade({ part, wanted, method: defaultMethod, means: { ...noMeans, shelf } })),
}
const found = whatCanBeMade({ part, wanted, method: defaultMethod, means: { ...noMeans, shelf } })
console.log(`one plan of a part                         ${plan.toFixed(2)} ms`)
console.log(`to buy, ${needs.length} needs of 100 pieces, 200 tins   ${spans.buy.toFixed(0)} ms`)
console.log(`every mix of 192 tins in ${paintCodes.length} paints          ${spans.mix.toFixed(0)} ms`)
console.log(
  `what can be made, ${found.length} ways found           ${spans.make.toFixed(0)} ms   ${(spans.make / plan).toFixed(0)} × one plan`,
)
const over = (Object.keys(allowed) as (keyof typeof allowed)[]).filter((what) => spans[what] > allowed[what])
if (over.length > 0) {
  console.error(`above the limit: ${over.map((what) => `${what} ${allowed[what]} ms`).join(', ')}`)
  process.exit(1)
}
