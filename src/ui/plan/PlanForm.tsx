'use client'
/** The plan desk of one part: look or layers, paint, colours and topcoat on one side, the way there on the other, following at once. */
import type { DeskTin } from '@/core/desk/state'
import type { HouseRecipe } from '@/core/house/recipe'
import type { HouseResources } from '@/core/plan/figures'
import { Layers } from '@/ui/desk/Layers'
import { TakeBar } from '@/ui/desk/TakeBar'
import { ReadyLine } from '@/ui/week/ReadyLine'
import { schoolChoiceWords, schoolWords } from '@/words/method'
import { LookFields } from './LookFields'
import { MakeFromShelf } from './MakeFromShelf'
import { OtherWays } from './OtherWays'
import { plannedSection } from './plannedSection'
import type { PlanPart } from './planPart'
import { RecipeForm } from './RecipeForm'
import { TopcoatFields } from './TopcoatFields'
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
  const { state, act, plan, ways, figures, shownSection } = desk
  const topcoat = <TopcoatFields part={part} desk={desk} />
  return (
    <>
      <div className="grid grid-cols-[minmax(0,1fr)] gap-x-12 gap-y-5 sm:gap-y-8 lg:grid-cols-[minmax(0,1.25fr)_minmax(0,1fr)]">
        <div>
          <Layers part={part} desk={desk} tins={tins} />
          <div className="mt-3 sm:mt-6">
            {state.touches ? (
              <div className="grid gap-4 sm:grid-cols-2">{topcoat}</div>
            ) : (
              <LookFields desk={desk} tins={tins} topcoat={topcoat} />
            )}
          </div>
          <RecipeForm recipes={recipes} wish={desk.recipe} take={(wish) => act({ kind: 'recipe', wish })} />
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
                  <button type="button" className="press shrink-0" onClick={() => act({ kind: 'school', code, to: null })}>
                    As the house
                  </button>
                </li>
              ))}
            </ul>
          )}
          <MakeFromShelf part={part} desk={desk} tins={tins} means={means} />
          {plan && shownSection && (
            <OtherWays
              own={{ figures, section: shownSection }}
              ways={ways}
              take={(change) => act({ kind: 'other-way', change })}
              takeFromShelf={desk.takeFromShelf}
              draw={(way) => plannedSection(part, way.wish, way.steps)}
            />
          )}
        </div>
        <WayThere desk={desk} />
      </div>
      {desk.kept.length > 0 && (
        <ReadyLine
          // another way asks anew
          key={JSON.stringify(desk.kept.map(({ step: { operation, minutes, window } }) => [operation, minutes, window]))}
          pieceId={part.pieceId}
          supposed={{ plans: { [part.id]: desk.kept.map(({ step }) => step) } }}
          className="mt-5 border-t-2 border-ink pt-3 sm:mt-8"
        />
      )}
      <TakeBar part={part} desk={desk} />
    </>
  )
}
