'use client'
/** What lies over the paint, and how much it shines: the two hang together, for not every topcoat is made in every sheen. */
import { sheens } from '@/core/craft/sheen'
import { getTopcoat, sheensUnder, type TopcoatCode, topcoatCodes, topcoatFits } from '@/core/craft/topcoats'
import { sheensToHave } from '@/core/finish/sheen'
import { lastPaintOf, shinesAs } from '@/core/finish/topcoat'
import { ChoiceField } from '@/ui/form/Field'
import type { PlanPart } from './planPart'
import { SheenChoice } from './SheenChoice'
import type { Desk } from './useDesk'

export function TopcoatFields({ part, desk }: { part: PlanPart; desk: Desk }) {
  const { state, act, wish, plan, facts } = desk
  const paint = lastPaintOf(wish)
  const whyNot = (code: TopcoatCode): string => {
    if (!topcoatFits(code, part.use, paint)) return ': not for this use, or not on this paint'
    return shinesAs(code, wish) || !wish.sheen ? '' : `: not made ${sheens[wish.sheen]}`
  }
  const had = sheensToHave(facts, wish)
  const [usual] = plan ? sheensUnder(plan.seal, paint) : []
  return (
    <>
      <ChoiceField
        label="Topcoat"
        className="beside"
        value={state.seal ?? ''}
        onChange={(event) => act({ kind: 'seal', to: (event.target.value as TopcoatCode | '') || null })}
        options={[
          ['', plan ? `as the house does: ${getTopcoat(plan.seal).words}` : 'as the house does'],
          ...topcoatCodes.map((code) => {
            const why = whyNot(code)
            return [code, `${getTopcoat(code).words}${why}`, why !== ''] as const
          }),
        ]}
      />
      <SheenChoice
        value={state.sheen}
        choose={(to) => act({ kind: 'sheen', to })}
        {...{ usual, had }}
        hex={(wish.touches?.findLast(({ colour }) => colour)?.colour ?? state.colours.a).hex}
      />
    </>
  )
}
