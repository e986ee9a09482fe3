/** What is looked at beside the plan: every look drawn, other ways, which paint and why. It follows a moment later. */
import { useDeferredValue, useMemo } from 'react'
import { type LookCode, lookCodes } from '@/core/craft/looks'
import type { HouseMethod } from '@/core/craft/method'
import type { FinishablePart, FinishWish } from '@/core/finish/wish'
import { listAlternatives } from '@/core/plan/alternatives'
import type { HouseResources } from '@/core/plan/figures'
import { planFinish } from '@/core/plan/planFinish'
import { rankPaints } from '@/core/plan/rankPaints'
import type { LookDrawn } from './LookChoice'
import { plannedSection } from './plannedSection'
import type { PlanPart } from './planPart'

interface Beside {
  part: PlanPart
  facts: FinishablePart
  wish: FinishWish
  /** the wish with another look */
  wishFor: (look: LookCode) => FinishWish
  method: HouseMethod
  means: HouseResources
  isReadable: boolean
  /** the painter's own list: no look is drawn, no paint ranked */
  isOwn: boolean
}

const mostWays = 12

export function useBeside({ part, facts, wish, wishFor, method, means, isReadable, isOwn }: Beside) {
  // not at every letter of a colour's name
  const { a, b } = wish.colours
  const touches = wish.touches?.map(({ colour, ...touch }) => ({ ...touch, hex: colour?.hex }))
  const asked = useDeferredValue(JSON.stringify({ ...wish, colours: [a?.hex, b?.hex], touches, method, isReadable }))
  return useMemo(
    () => ({
      ranked: isOwn || !isReadable ? [] : rankPaints(facts, wish, method, means),
      ways: part.done.length === 0 && isReadable ? listAlternatives(facts, wish, method, means).slice(0, mostWays) : [],
      drawn: isOwn
        ? []
        : lookCodes.map((code): LookDrawn => {
            const looked = wishFor(code)
            const made = planFinish(facts, looked, method)
            return 'plan' in made
              ? { code, section: plannedSection(part, looked, made.plan.steps) }
              : { code, refusal: made.refusal.code }
          }),
    }),
    // `asked` says all of what these are made from
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [asked],
  )
}
