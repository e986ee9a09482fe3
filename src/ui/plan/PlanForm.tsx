'use client'
/** The plan desk of one part: look, paint, colours and topcoat on one side, the way there on the other, following at once. */
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { complementOf, darkerOf } from '../../core/finish/colour'
import { getFamily, type FamilyCode } from '../../core/finish/families'
import { addOnCodes, getLook, type LookCode } from '../../core/finish/looks'
import type { HouseMethod } from '../../core/finish/method'
import { looksOf, planFinish, type Colour, type FinishWish, type PlannedStep } from '../../core/finish/planFinish'
import type { Slot } from '../../core/finish/recipe'
import { findRefusal } from '../../core/finish/refusals'
import { getSeal, sealCodes, sealFits, type SealCode } from '../../core/finish/seals'
import { planInput, type PlanText } from '../../core/input/piece'
import { factsOf } from '../../core/piece/facts'
import { figuresOf, listAlternatives, type Change } from '../../core/plan/alternatives'
import { differenceOf, replan, type PlanDifference } from '../../core/plan/replan'
import { checkStack, type Conflict } from '../../core/stack/checkStack'
import { Section } from '../drawing/Section'
import { useActions } from '../form/actions'
import { ChoiceField, Trouble } from '../form/Field'
import { useWrite } from '../form/useWrite'
import { adviceWords, coverWords, refusalWords, stepTitle } from '../words/craft'
import { spanWords } from '../words/time'
import { ColourChoice } from './ColourChoice'
import { LookChoice } from './LookChoice'
import { OtherWays } from './OtherWays'
import { plannedSection } from './plannedSection'
import type { DeskTin, PlanPart } from './planPart'
import { ConflictLine, StepList, type DeskStep } from './StepList'

const fallbackColours: Record<Slot, Colour> = {
  a: { name: 'First colour', hex: '#3d5661' },
  b: { name: 'Second colour', hex: '#e3d7bd' },
}

export function PlanForm({
  pieceId,
  part,
  tins,
  shelf,
}: {
  pieceId: string
  part: PlanPart
  tins: DeskTin[]
  shelf: FamilyCode[]
}) {
  const { planPart } = useActions()
  const write = useWrite(planPart)
  const router = useRouter()
  const [planId] = useState(() => uuidv7())
  const [stepIds] = useState(() => Array.from({ length: 80 }, () => uuidv7()))
  const facts = factsOf(part)
  const [look, setLook] = useState<LookCode>(part.before?.look ?? firstLook(part))
  const [extras, setExtras] = useState<LookCode[]>(part.before?.with ?? [])
  const [paint, setPaint] = useState<FamilyCode>(part.before?.paint ?? 'chalk-mineral')
  const [seal, setSeal] = useState<SealCode | ''>(part.before?.seal ?? '')
  const [departures, setDepartures] = useState<Partial<HouseMethod>>(part.before?.departures ?? {})
  const [colours, setColours] = useState<Record<Slot, Colour>>({
    ...fallbackColours,
    ...twoTins(tins, part.before?.paint ?? 'chalk-mineral', part.before?.colours.a),
    ...part.before?.colours,
  })
  // what was moved or left out by hand; forgotten when the plan becomes another
  const [edits, setEdits] = useState<{ of: string; order: number[]; left: number[] } | null>(null)

  const method = { ...part.method, ...departures }
  const paintFor = (code: LookCode): FamilyCode => {
    const { paints } = getLook(code)
    return paints.includes(paint) ? paint : (paints[0] ?? 'chalk-style')
  }
  const wishFor = (code: LookCode): FinishWish => ({
    look: code,
    with: code === look ? extras.filter((each) => each !== code) : [],
    paint: paintFor(code),
    colours,
    seal: code === look && seal !== '' ? seal : undefined,
  })
  const wish = wishFor(look)
  const looks = looksOf(wish)
  const slots = [...new Set(looks.flatMap((each) => each.slots))]

  const typed: PlanText = {
    planId,
    partId: part.id,
    pieceId,
    stepIds,
    at: new Date(0).toISOString(),
    look,
    with: [...(wish.with ?? [])],
    paint: wish.paint,
    seal,
    departures,
    order: [],
    colours: { a: colours.a, ...(slots.includes('b') && { b: colours.b }) },
  }
  const readable = planInput.safeParse(typed)
  const troubles = readable.success
    ? {}
    : Object.fromEntries(readable.error.issues.map(({ path, message }) => [path.join('.'), message]))
  const outcome = readable.success ? replan(facts, wish, part.done, method) : null
  const planned: PlannedStep[] = outcome && 'steps' in outcome ? outcome.steps : []
  const whole = outcome && 'steps' in outcome ? planFinish(facts, wish, method) : null
  const plan = whole && 'plan' in whole ? whole.plan : null

  const key = planned.map(({ operation, family, colour }) => `${operation} ${family} ${colour?.hex}`).join()
  const mine = edits?.of === key ? edits : { of: key, order: planned.map((_, k) => k), left: [] as number[] }
  const steps: DeskStep[] = mine.order.flatMap((position) => {
    const step = planned[position]
    return step ? [{ step, position, left: mine.left.includes(position) }] : []
  })
  const kept = steps.filter(({ left }) => !left)
  const conflicts = plan ? checkStack({ part: facts, wish, method, acts: [...part.done, ...kept.map(({ step }) => step)] }) : []
  const at = new Map<number, Conflict[]>()
  for (const conflict of conflicts) {
    const position = kept[(conflict.acts.at(-1) ?? -1) - part.done.length]?.position
    if (position !== undefined) at.set(position, [...(at.get(position) ?? []), conflict])
  }
  const overall = conflicts.filter(({ acts }) => acts.length === 0)
  const figures = figuresOf(
    kept.map(({ step }) => step),
    shelf,
  )
  const ways = plan && part.done.length === 0 ? listAlternatives(facts, wish, method, shelf).slice(0, 10) : []
  const difference =
    part.ahead.length > 0 && part.done.length > 0
      ? differenceOf(
          part.ahead,
          kept.map(({ step }) => step),
        )
      : null

  const save = async () => {
    const order = kept.map(({ position }) => position)
    if (await write.send({ ...typed, order, at: new Date().toISOString() })) router.push(`/pieces/${pieceId}`)
  }
  const chooseLook = (code: LookCode) => {
    setLook(code)
    setSeal('')
    setExtras(extras.filter((each) => each !== code && !findRefusal(facts, { ...wishFor(code), with: [each] })))
  }
  const choosePaint = (family: FamilyCode) => {
    setPaint(family)
    setColours({ ...colours, ...twoTins(tins, family, undefined) })
  }
  const take = (change: Change) => {
    if (change.kind === 'look') chooseLook(change.to)
    if (change.kind === 'paint') choosePaint(change.to)
    if (change.kind === 'seal') setSeal(change.to)
    if (change.kind === 'school') setDepartures({ ...departures, [change.code]: change.to })
  }
  const toggle = (position: number) =>
    setEdits({
      ...mine,
      left: mine.left.includes(position) ? mine.left.filter((each) => each !== position) : [...mine.left, position],
    })
  const move = (index: number, by: -1 | 1) => {
    const order = [...mine.order]
    const [moved] = order.splice(index, 1)
    if (moved !== undefined) order.splice(index + by, 0, moved)
    setEdits({ ...mine, order })
  }
  const nearest = outcome && 'refusal' in outcome ? outcome.refusal.nearest : null
  const takeNearest = () => {
    if (nearest?.look) chooseLook(nearest.look)
    if (nearest?.paint) choosePaint(nearest.paint)
    if (nearest?.with) setExtras([...nearest.with])
    if (nearest?.seal) setSeal(nearest.seal)
  }
  const shownSection = plan && plannedSection(part, wish, [...part.done, ...kept.map(({ step }) => step)])

  return (
    <div className="grid gap-x-12 gap-y-8 lg:grid-cols-[minmax(0,1.25fr)_minmax(0,1fr)]">
      <div>
        <LookChoice
          look={look}
          choose={chooseLook}
          draw={(code) => {
            const refusal = findRefusal(facts, wishFor(code))
            if (refusal) return { refusal: refusal.code }
            const made = planFinish(facts, wishFor(code), method)
            return 'plan' in made
              ? { section: plannedSection(part, wishFor(code), made.plan.steps) }
              : { refusal: made.refusal.code }
          }}
        />
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
            onChange={(event) => setSeal(event.target.value as SealCode | '')}
            options={[
              ['', plan ? `as the house does: ${getSeal(plan.seal).words}` : 'as the house does'],
              ...sealCodes
                .filter((code) => sealFits(code, part.use, wish.paint))
                .map((code) => [code, getSeal(code).words] as const),
            ]}
          />
          {slots.map((slot) => {
            const cover = plan?.cover[slot]
            return (
              <ColourChoice
                key={slot}
                words={slotWords(looks, slot)}
                why={cover ? cover.reasons.map((reason) => coverWords[reason]).join(', ') : ''}
                colour={colours[slot]}
                tins={tins.filter(({ family }) => family === wish.paint)}
                suggestions={slot === 'a' && slots.includes('b') ? suggested(colours.b) : []}
                trouble={troubles[`colours.${slot}.name`] ?? troubles[`colours.${slot}.hex`]}
                choose={(colour) => setColours({ ...colours, [slot]: colour })}
              />
            )
          })}
        </div>
        {plan && <OtherWays own={figures} ways={ways} take={take} />}
      </div>
      <section aria-labelledby="steps" aria-live="polite" className="border-t-2 border-ink pt-4">
        <div className="flex items-start justify-between gap-6">
          <div>
            <h2 id="steps" className="title text-3xl">
              The way there
            </h2>
            {planned.length > 0 && (
              <p className="mt-2">
                <span className="figure text-5xl">{spanWords(figures.minutes)}</span>{' '}
                <span className="text-soft">
                  of work over {figures.days === 1 ? 'one working day' : `${figures.days} days`}
                  {figures.hurried > 0 ? `, ${figures.hurried} short ${figures.hurried === 1 ? 'window' : 'windows'}` : ''}
                </span>
              </p>
            )}
          </div>
          {shownSection && <Section model={shownSection} className="-mt-1 w-28 shrink-0" />}
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
              <p className="mt-3 border-l-4 border-now pl-3">What is done stays done. {differenceWords(difference)}</p>
            )}
            {overall.map((conflict) => (
              <ConflictLine key={conflict.code} conflict={conflict} />
            ))}
            <StepList steps={steps} conflicts={at} toggle={toggle} move={move} />
            {edits?.of === key && (
              <button type="button" className="press mt-3" onClick={() => setEdits(null)}>
                As it was planned
              </button>
            )}
          </>
        )}
        <div className="mt-5 space-y-3">
          <Trouble>{write.issue}</Trouble>
          <button
            type="button"
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

function differenceWords({ added, dropped, minutes }: PlanDifference): string {
  if (added.length === 0 && dropped.length === 0) return 'The rest is the plan in force.'
  const steps = (list: readonly PlannedStep[]) => list.map((step) => stepTitle(step).toLowerCase()).join(', ')
  return [
    `Against the plan in force ${minutes >= 0 ? '+' : '−'}${spanWords(Math.abs(minutes))}.`,
    added.length > 0 ? `More: ${steps(added)}.` : '',
    dropped.length > 0 ? `No longer: ${steps(dropped)}.` : '',
  ]
    .filter(Boolean)
    .join(' ')
}

/** A look that the material allows, to begin with. */
function firstLook(part: PlanPart): LookCode {
  const facts = factsOf(part)
  const wish: FinishWish = { look: 'smooth-solid', paint: 'chalk-mineral', colours: fallbackColours }
  return findRefusal(facts, wish)?.nearest?.look ?? 'smooth-solid'
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
  seal?: SealCode
  with?: readonly LookCode[]
}) {
  return [
    look && getLook(look).words,
    paint && getFamily(paint).words,
    seal && getSeal(seal).words,
    !look && extras?.length === 0 && 'without what is laid over it',
  ]
    .filter(Boolean)
    .join(', ')
}

/** Two tins of a paint to begin with, the second another colour than the first. */
function twoTins(tins: readonly DeskTin[], family: FamilyCode, first: Colour | undefined): Partial<Record<Slot, Colour>> {
  const fitting = tins.filter((tin) => tin.family === family).map(({ name, hex }): Colour => ({ name, hex }))
  const a = first ?? fitting[0]
  const b = fitting.find(({ hex }) => hex !== a?.hex)
  return { ...(a && { a }), ...(b && { b }) }
}
