'use client'
/** The plan desk of one part: look or layers, paint, colours and topcoat on one side, the way there on the other, following at once. */
import { kindOf } from '@/core/craft/parts'
import { getTopcoat, type TopcoatCode, topcoatCodes, topcoatFits } from '@/core/craft/topcoats'
import { lastPaintOf } from '@/core/finish/topcoat'
import type { HouseRecipe } from '@/core/house/recipe'
import type { HouseResources } from '@/core/plan/figures'
import { ChoiceField } from '@/ui/form/Field'
import { schoolChoiceWords, schoolWords } from '@/words/method'
import { LayerList } from './LayerList'
import { LookFields } from './LookFields'
import { OtherWays } from './OtherWays'
import { plannedSection } from './plannedSection'
import type { DeskTin, PlanPart } from './planPart'
import { RecipeForm } from './RecipeForm'
import { useDesk } from './useDesk'
import { WayThere } from './WayThere'

export function PlanForm({
  part,
  tins,
  means,
  recipes,
}: {
  part: PlanPart
  tins: DeskTin[]
  means: HouseResources
  recipes: HouseRecipe[]
}) {
  const desk = useDesk(part, tins, means)
  const { seal, wish } = desk
  const { plan, ways, figures, planned, shownSection, layers, take } = desk
  const topcoat = (
    <ChoiceField
      label="Topcoat"
      value={seal}
      onChange={(event) => desk.setSeal(event.target.value as TopcoatCode | '')}
      options={[
        ['', plan ? `as the house does: ${getTopcoat(plan.seal).words}` : 'as the house does'],
        ...topcoatCodes
          .filter((code) => topcoatFits(code, part.use, lastPaintOf(wish)))
          .map((code) => [code, getTopcoat(code).words] as const),
      ]}
    />
  )
  return (
    <div className="grid gap-x-12 gap-y-8 lg:grid-cols-[minmax(0,1.25fr)_minmax(0,1fr)]">
      <div>
        {layers.draft ? (
          <>
            <LayerList
              layers={layers}
              draft={layers.draft}
              kind={kindOf(part)}
              tins={tins}
              steps={planned}
              refusal={desk.refusal}
              troubles={desk.troubles}
            />
            <div className="mt-6 sm:w-1/2">{topcoat}</div>
          </>
        ) : (
          <>
            <LookFields desk={desk} tins={tins} topcoat={topcoat} />
            <div className="mt-6 flex flex-wrap gap-3">
              <button type="button" className="press" disabled={planned.length === 0} onClick={desk.makeOwn}>
                Make the layers your own
              </button>
              {layers.hasAside && (
                <button type="button" className="press" onClick={layers.takeUp}>
                  Back to your own layers
                </button>
              )}
            </div>
          </>
        )}
        <RecipeForm recipes={recipes} wish={desk.recipe} take={desk.takeRecipe} />
        {desk.departed.length > 0 && (
          <ul className="mt-6" aria-label="Where this part departs from the house">
            {desk.departed.map((code) => (
              <li key={code} className="flex items-center justify-between gap-4 border-b border-line py-1.5">
                <span>
                  <span className="font-semibold">
                    {schoolWords[code]}: {schoolChoiceWords(code, desk.method[code])}
                  </span>
                  <span className="block text-soft">the house: {schoolChoiceWords(code, part.method[code])}</span>
                </span>
                <button type="button" className="press shrink-0" onClick={() => desk.returnTo(code)}>
                  As the house
                </button>
              </li>
            ))}
          </ul>
        )}
        {plan && shownSection && (
          <OtherWays
            own={{ figures, section: shownSection }}
            ways={ways}
            take={take}
            takeFromShelf={desk.takeFromShelf}
            draw={(way) => plannedSection(part, way.wish, way.steps)}
          />
        )}
      </div>
      <WayThere part={part} desk={desk} />
    </div>
  )
}
