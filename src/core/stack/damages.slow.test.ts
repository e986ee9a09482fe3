/** Right plans spoiled in every single way: what the rules are silent on is listed here, each kind with why it does no harm. */
import { expect, test } from 'vitest'
import { getLook, lookCodes } from '@/core/craft/looks'
import type { FinishablePart, FinishWish } from '@/core/finish/wish'
import { planFinish } from '@/core/plan/planFinish'
import { damagesOf } from '@/core/testing/damages'
import { colours, partOf } from './cases/stacks'
import { checkStack } from './checkStack'

const parts: Partial<FinishablePart>[] = [
  {},
  { existing: 'wax' },
  { substrate: 'softwood', existing: 'bare' },
  { substrate: 'laminate', existing: 'bare' },
  { existing: 'oil-paint', lead: 'suspected' },
  { use: 'heavy' },
  { substrate: 'fabric', existing: 'bare' },
  { substrate: 'leather', existing: 'bare' },
]
/** Silent, and rightly so. */
const harmless: [RegExp, string][] = [
  [/^double (clean|rinse|dewax|wipe-spirits|neutralise|strip|scrape|dust-off|de-lint)$/, 'cleaner than it need be'],
  [/^double (scuff|sand|smooth)$/, 'rubbed twice at the same grit: time, no harm where the material bears it'],
  [/^double (knotting|block-prime|adhesion-prime|seal-between)$/, 'primed or sealed twice'],
  [/^double (coat|undercoat|fabric-coat|texture-coat|clear-coat)$/, 'one coat more'],
  [/^double (crackle-medium|resist)$/, 'more of it: wider cracks, a stronger resist'],
  [/^double (wash|glaze|dry-brush|spray-runs|blend|tinted-wax)$/, 'a stronger effect'],
  [/^double (wet-distress|dry-distress|scrape-distress|heat-gun|brush-off-flakes)$/, 'worn further'],
  [/^double (mist-fabric|buff|tape|pull-tape|remove-resist)$/, 'done already, and done again'],
  [
    /^drop (smooth|sand|heat-gun|undercoat|clear-coat)$/,
    'planned as a choice: rougher, fewer chips, or as many clears as the use asks for at least',
  ],
  [
    /^film (knotting|block-prime|adhesion-prime|strip|resist|crackle-medium|texture-coat|coat|undercoat|blend|crackle-coat): heavy$/,
    'it dries longer; the windows reckon with it',
  ],
  [/^film .*: thin$/, 'a thin layer where a usual one was planned: less even, no failure'],
  [/^mix .*: as it comes$/, 'unthinned, where the paint is meant to be used so'],
  [/^mix (wash|fabric-coat|spray-runs|dry-brush casein).*: paint : water 1 : 3$/, 'a weaker wash, or one more coat'],
  [
    /^family (coat|dry-brush|wash|blend|spray-runs|crackle-coat|texture-coat|fabric-coat): /,
    'another paint that grips, cracks or runs as this one does, over a sound keyed coat',
  ],
  [/^family (clear-coat|seal-between): water-clear → hard-clear$/, 'a harder clear'],
  [/^family tinted-wax: /, 'another tint'],
  [/^swap (coat ↔ coat|wash ↔ wash|dry-brush ↔ dry-brush)$/, 'the two are the same'],
  [/^swap (clear-coat|coat|fabric-coat|texture-coat) ↔ smooth$/, 'rubbed before the coat instead of after it'],
  [
    /^swap smooth ↔ (clear-coat|clear-wax|coat|fabric-coat|de-lint)$/,
    'rubbed after the coat, or after the lint is off: its dust goes with it',
  ],
  [/^swap (de-lint|scuff|remove-resist|pull-tape|wipe-spirits) ↔ (rinse|de-lint|dust-off|clean)$/, 'either may come first'],
]

test('every kind of damage that the rules are silent on is judged harmless', () => {
  const silent = new Set<string>()
  let tried = 0
  for (const over of parts)
    for (const look of lookCodes)
      for (const paint of getLook(look).paints) {
        const part = partOf(over)
        const wish: FinishWish = { look, paint, colours: { a: colours.slate, b: colours.pale } }
        const outcome = planFinish(part, wish)
        if ('refusal' in outcome) continue
        const { steps } = outcome.plan
        const known = new Set(checkStack({ part, wish, acts: steps }).map(({ code }) => code))
        for (const { kind, what, acts } of damagesOf(steps, part)) {
          tried += 1
          if (checkStack({ part, wish, acts }).every(({ code }) => known.has(code))) silent.add(`${kind} ${what}`)
        }
      }
  expect(tried).toBeGreaterThan(40_000)
  expect([...silent].filter((each) => !harmless.some(([like]) => like.test(each)))).toEqual([])
  // and no kind is judged that is never silent
  expect(harmless.filter(([like]) => ![...silent].some((each) => like.test(each))).map(([, why]) => why)).toEqual([])
})
