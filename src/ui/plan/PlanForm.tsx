'use client'
/** The plan desk of one part: look, paint, colours and topcoat on one side, the way there on the other, following at once. */
import { useRouter } from 'next/navigation'
import { complementOf, darkerOf } from '@/core/craft/colour'
import { type FamilyCode, getFamily } from '@/core/craft/families'
import { addOnCodes, getLook, type LookCode } from '@/core/craft/looks'
import { getOperation } from '@/core/craft/operations'
import type { Slot } from '@/core/craft/recipe'
import { getTopcoat, type TopcoatCode, topcoatCodes, topcoatFits } from '@/core/craft/topcoats'
import { looksOf } from '@/core/finish/lines'
import { findRefusal } from '@/core/finish/refusals'
import type { PlannedStep } from '@/core/finish/step'
import type { Colour } from '@/core/finish/wish'
import type { HouseRecipe } from '@/core/house/recipe'
import type { Measuring } from '@/core/measure/units'
import type { CrossSection as SectionModel } from '@/core/piece/section'
import type { Amount } from '@/core/plan/amounts'
import type { HouseResources } from '@/core/plan/figures'
import type { PlanDifference } from '@/core/plan/replan'
import type { WholePiece } from '@/core/plan/wholePiece'
import type { Conflict } from '@/core/stack/checkStack'
import { Section } from '@/ui/drawing/Section'
import { useActions } from '@/ui/form/actions'
import { ChoiceField, Trouble } from '@/ui/form/Field'
import { useHouse } from '@/ui/form/house'
import { useMoment } from '@/ui/form/useMoment'
import { useWrite } from '@/ui/form/useWrite'
import { adviceWords, coverWords, refusalWords, stepTitle } from '@/words/craft'
import { amountWords } from '@/words/measure'
import { schoolChoiceWords, schoolWords } from '@/words/method'
import { spanWords } from '@/words/time'
import { ColourChoice } from './ColourChoice'
import { ConflictLine } from './ConflictLine'
import { LookChoice } from './LookChoice'
import { OtherWays } from './OtherWays'
import { plannedSection } from './plannedSection'
import type { DeskTin, PlanPart } from './planPart'
import { RecipeForm } from './RecipeForm'
import { type DeskStep, StepList } from './StepList'
import { useDesk } from './useDesk'

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
  const { planPart } = useActions()
  const house = useHouse()
  const write = useWrite(planPart)
  const router = useRouter()
  const desk = useDesk(part, tins, means)
  const { look, extras, seal, colours, wish, looks, slots, troubles, facts } = desk
  const {
    outcome,
    planned,
    plan,
    steps,
    kept,
    acts,
    at,
    told,
    overall,
    figures,
    ways,
    difference,
    wholeWay,
    nearest,
    shownSection,
    edited,
  } = desk
  const { chooseLook, choosePaint, setSeal, setExtras, setColours, setEdits, take, takeNearest, toggle, move } = desk

  const moment = useMoment(desk.typed.planId)
  const save = async () => {
    const order = kept.map(({ position }) => position)
    if (await write.send({ ...desk.typed, order, at: moment() })) router.push(`/pieces/${part.pieceId}`)
  }
  return (
    <div className="grid gap-x-12 gap-y-8 lg:grid-cols-[minmax(0,1.25fr)_minmax(0,1fr)]">
      <div>
        <LookChoice look={look} choose={chooseLook} drawn={desk.drawn} />
        <fieldset className="mt-5">
          <legend className="mb-2 font-semibold">Laid over it</legend>
          <div className="flex flex-wrap gap-2">
            {addOnCodes
              .filter((code) => code !== look)
              .map((code) => {
                const on = extras.includes(code)
                const can = on || !findRefusal(facts, { ...wish, with: [...(wish.with ?? []), code] })
                return (
                  <button
                    key={code}
                    type="button"
                    aria-pressed={on}
                    disabled={!can}
                    onClick={() => setExtras(on ? extras.filter((each) => each !== code) : [...extras, code])}
                    className="press aria-pressed:outline-3 aria-pressed:outline-now"
                  >
                    {getLook(code).words}
                  </button>
                )
              })}
          </div>
        </fieldset>
        <div className="mt-6 grid grid-cols-1 gap-4 sm:grid-cols-2">
          <ChoiceField
            label="Paint"
            value={wish.paint}
            onChange={(event) => choosePaint(event.target.value as FamilyCode)}
            options={getLook(look).paints.map((code) => [code, getFamily(code).words] as const)}
          />
          <ChoiceField
            label="Topcoat"
            value={seal}
            onChange={(event) => setSeal(event.target.value as TopcoatCode | '')}
            options={[
              ['', plan ? `as the house does: ${getTopcoat(plan.seal).words}` : 'as the house does'],
              ...topcoatCodes
                .filter((code) => topcoatFits(code, part.use, wish.paint))
                .map((code) => [code, getTopcoat(code).words] as const),
            ]}
          />
          {slots.map((slot) => {
            const cover = plan?.cover[slot]
            return (
              <ColourChoice
                key={slot}
                words={slotWords(looks, slot)}
                why={
                  cover && coatsIn(kept, colours[slot]) === cover.coats
                    ? cover.reasons.map((reason) => coverWords[reason]).join(', ')
                    : ''
                }
                colour={colours[slot]}
                tins={tins.filter(({ family }) => family === wish.paint)}
                suggestions={slot === 'a' && slots.includes('b') ? suggested(colours.b) : []}
                trouble={troubles[`colours.${slot}.name`] ?? troubles[`colours.${slot}.hex`]}
                choose={(colour) => setColours({ ...colours, [slot]: colour })}
              />
            )
          })}
        </div>
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
      <section aria-labelledby="steps" aria-live="polite" className="border-t-2 border-ink pt-4">
        <div className="flex items-start justify-between gap-6">
          <div>
            <h2 id="steps" className="title text-3xl">
              The way there
            </h2>
            {planned.length > 0 && (
              <p className="mt-2">
                <span className="figure mr-1.5 text-5xl">{spanWords(figures.minutes)}</span>{' '}
                <span className="text-soft">
                  of work over {figures.days === 1 ? 'one working day' : `${figures.days} days`}
                  {figures.hurried > 0 ? `, ${figures.hurried} short ${figures.hurried === 1 ? 'window' : 'windows'}` : ''}
                </span>
              </p>
            )}
            {wholeWay && <p className="mt-1 text-soft">{wholeWords(wholeWay)}</p>}
          </div>
          {shownSection && (
            <Section model={shownSection} clashes={clashesIn(acts, told, shownSection)} className="-mt-1 w-36 shrink-0" />
          )}
        </div>
        {outcome && 'refusal' in outcome && (
          <div className="mt-3 border-l-4 border-late pl-4">
            <p className="text-lg font-semibold">{refusalWords[outcome.refusal.code]}</p>
            {nearest && (
              <button type="button" className="press mt-3" onClick={takeNearest}>
                Nearest: {nearestWords(nearest)}
              </button>
            )}
          </div>
        )}
        {planned.length > 0 && (
          <>
            {figures.awkward > 0 && (
              <p className="mt-3 border-l-4 border-late pl-3 font-semibold">
                A window here closes outside the working hours: somebody must stay, or a fan must help.
              </p>
            )}
            {plan?.advice.map((code) => (
              <p key={code} className="mt-3 border-l-4 border-now pl-3">
                {adviceWords[code]}
              </p>
            ))}
            {difference && (
              <p className="mt-3 border-l-4 border-now pl-3">What is done stays done. {differenceWords(difference, house)}</p>
            )}
            {overall.map((conflict) => (
              <ConflictLine key={conflict.code} conflict={conflict} />
            ))}
            <StepList steps={steps} conflicts={at} toggle={toggle} move={move} />
            {edited && (
              <button type="button" data-key="u" className="press mt-3" onClick={() => setEdits(null)}>
                As it was planned
              </button>
            )}
          </>
        )}
        <div className="mt-5 space-y-3">
          <Trouble>{write.issue}</Trouble>
          <button
            type="button"
            data-key="t"
            disabled={kept.length === 0 || write.pending}
            onClick={() => void save()}
            className="press press-now min-h-16 px-8 text-xl"
          >
            {write.pending ? 'Writing…' : 'Take this way'}
          </button>
        </div>
      </section>
    </div>
  )
}

function differenceWords({ added, dropped, minutes, days, amounts }: PlanDifference, house: Measuring): string {
  if (added.length === 0 && dropped.length === 0) return 'The rest is the plan in force.'
  const steps = (list: readonly PlannedStep[]) => list.map((step) => stepTitle(step).toLowerCase()).join(', ')
  return [
    `Against the plan in force ${minutes >= 0 ? '+' : '−'}${spanWords(Math.abs(minutes))}, ${daysWords(days)}.`,
    added.length > 0 ? `More: ${steps(added)}.` : '',
    dropped.length > 0 ? `No longer: ${steps(dropped)}.` : '',
    amounts.length > 0 ? `From the shelf: ${amounts.map((each) => changeOfAmount(each, house)).join(', ')}.` : '',
  ]
    .filter(Boolean)
    .join(' ')
}

/** What this part does to the piece it belongs to. */
function wholeWords({ minutes, days, more }: WholePiece): string {
  const whole = `The whole piece: ${spanWords(minutes)} over ${days === 1 ? 'one day' : `${days} days`}`
  if (more.minutes === 0 && more.days === 0) return `${whole}, as before.`
  return `${whole}; that is ${more.minutes >= 0 ? '+' : '−'}${spanWords(Math.abs(more.minutes))}, ${daysWords(more.days)}.`
}

const daysWords = (days: number) =>
  days === 0 ? 'as many days' : `${days > 0 ? '+' : '−'}${Math.abs(days)} ${Math.abs(days) === 1 ? 'day' : 'days'}`
const changeOfAmount = ({ family, name, amount }: Amount, house: Measuring) =>
  `${amount > 0 ? '+' : '−'}${amountWords(family, Math.abs(amount), house)} ${name ?? getFamily(family).words}`

const coatsIn = (steps: readonly DeskStep[], colour: Colour) =>
  steps.filter(({ step }) => step.operation === 'coat' && step.colour?.hex === colour.hex).length

/** The layers of the section at whose lower edge two do not get on. */
function clashesIn(acts: readonly PlannedStep[], conflicts: readonly Conflict[], section: SectionModel): Set<number> {
  const laid = acts.flatMap(({ operation }, k) => (getOperation(operation).layer ? [k] : []))
  const found = section.layers.length - laid.length
  return new Set(
    conflicts
      .filter(({ severity }) => severity !== 'advice')
      .flatMap(({ acts: concerned }) => {
        const layer = laid.findIndex((k) => k >= (concerned.at(-1) ?? Infinity))
        return layer < 0 ? [] : [layer + found]
      }),
  )
}

const slotWords = (looks: ReturnType<typeof looksOf>, slot: Slot): string =>
  looks.map((look) => look.slotWords[slot]).find((words) => words !== undefined) ?? 'Colour'

/** Under-colours that make the top colour sing. */
const suggested = (top: Colour): Colour[] =>
  /^#[0-9a-f]{6}$/i.test(top.hex)
    ? [
        { name: 'Its opposite', hex: complementOf(top.hex) },
        { name: 'A darker one of it', hex: darkerOf(top.hex) },
      ]
    : []

function nearestWords({
  look,
  paint,
  seal,
  with: extras,
}: {
  look?: LookCode
  paint?: FamilyCode
  seal?: TopcoatCode
  with?: readonly LookCode[]
}) {
  return [
    look && getLook(look).words,
    paint && getFamily(paint).words,
    seal && getTopcoat(seal).words,
    !look && extras?.length === 0 && 'without what is laid over it',
  ]
    .filter(Boolean)
    .join(', ')
}
