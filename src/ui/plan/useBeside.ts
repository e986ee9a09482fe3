/** What is looked at beside the plan: every look drawn, other ways, which paint and why. It follows a moment later, at first too. */
import { useDeferredValue, useMemo } from 'react'
import { type LookCode, lookCodes } from '@/core/craft/looks'
import type { HouseMethod } from '@/core/craft/method'
import { findRefusal } from '@/core/finish/refusals'
import type { FinishablePart, FinishWish } from '@/core/finish/wish'
import { type Alternative, listAlternatives } from '@/core/plan/alternatives'
import type { HouseResources } from '@/core/plan/figures'
import { planFinish } from '@/core/plan/planFinish'
import { type RankedPaint, rankPaints } from '@/core/plan/rankPaints'
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

interface Found {
  /** null until it is known */
  ranked: RankedPaint[] | null
  ways: Alternative[]
  drawn: LookDrawn[]
}
export function useBeside({ part, facts, wish, wishFor, method, means, isReadable, isOwn }: Beside): Found {
  // not at every letter of a colour's name
  const { a, b } = wish.colours
  const touches = wish.touches?.map(({ colour, ...touch }) => ({ ...touch, hex: colour?.hex }))
  const asked = useDeferredValue(JSON.stringify({ ...wish, colours: [a?.hex, b?.hex], touches, method, isReadable }), '')
  return useMemo(() => {
    // the plan itself is there sooner: which looks can be had is known without any plan of theirs
    if (asked === '')
      return {
        ranked: null,
        ways: [],
        drawn: (isOwn ? [] : lookCodes).map((code): LookDrawn => {
          const refusal = findRefusal(facts, wishFor(code))
          return refusal ? { code, refusal: refusal.code } : { code, section: null }
        }),
      }
    return {
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
    }
    // `asked` says all of what these are made from
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [asked])
}
