/** How long a piece of six parts takes to plan, beside one part alone, in one run: medians. Usage: npm run bench:plan. */
import { getLook, lookCodes } from '@/core/craft/looks'
import type { FinishablePart, FinishWish } from '@/core/finish/wish'
import { planFinish } from '@/core/plan/planFinish'
import { planPiece } from '@/core/plan/planPiece'

/** ms that six parts may take */
const allowed = 20
const facts: FinishablePart = { substrate: 'close-grained', existing: 'varnish', lead: 'unlikely', use: 'light', areaM2: 1.4 }
const colours = { a: { name: 'Ferry Slate', hex: '#3d5661' }, b: { name: 'Oat Husk', hex: '#e3d7bd' } }
const wishes = lookCodes
  .map((look): FinishWish => ({ look, paint: getLook(look).paints[0] ?? 'clay', colours }))
  .filter((wish) => 'plan' in planFinish(facts, wish))
const six = Array.from({ length: 6 }, (_, k) => ({ id: String(k), facts, wish: wishes[(k * 3) % wishes.length] as FinishWish }))

function median(work: () => void): number {
  for (let k = 0; k < 30; k += 1) work()
  const spans = Array.from({ length: 60 }, () => {
    const begun = performance.now()
    work()
    return performance.now() - begun
  })
  return spans.sort((a, b) => a - b)[30] ?? NaN
}
const one = median(() => planPiece({ parts: six.slice(0, 1) }))
const all = median(() => planPiece({ parts: six }))
console.log(`one part   ${one.toFixed(2)} ms`)
console.log(`six parts  ${all.toFixed(2)} ms   ${(all / one).toFixed(1)} × one`)
if (all > allowed) {
  console.error(`above ${allowed} ms`)
  process.exitCode = 1
}
