'use client'
/** Choosing a part's finish: each look drawn by its section, the steps following at once; a refusal names what can be had. */
import { RadioGroup } from 'radix-ui'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { getFamily, type FamilyCode } from '../../core/finish/families'
import { getLook, lookCodes, type LookCode, type Slot } from '../../core/finish/looks'
import { planFinish, remainingAfter, type Colour, type FinishWish, type PlannedStep } from '../../core/finish/planFinish'
import { planInput, type PlanText } from '../../core/input/piece'
import type { OperationCode } from '../../core/labour/operations'
import { areaOfPart } from '../../core/piece/area'
import type { Part } from '../../core/piece/piece'
import { sectionOf, type Section as SectionModel } from '../../core/piece/section'
import { Section } from '../drawing/Section'
import { useActions } from '../form/actions'
import { ChoiceField, TextField, Trouble } from '../form/Field'
import { useWrite } from '../form/useWrite'
import { adviceWords, reasonWords, refusalWords, stepTitle, withWhat } from '../words/craft'
import { spanWords } from '../words/time'

export interface PlanPart extends Omit<Part, 'plan' | 'earlier'> {
  done: OperationCode[]
  look: LookCode | null
  paint: FamilyCode | null
  colours: Partial<Record<Slot, Colour>>
}

const fallbackColours: Record<Slot, Colour> = {
  a: { name: 'First colour', hex: '#3d5661' },
  b: { name: 'Second colour', hex: '#e3d7bd' },
}

/** The section as it will be when all is done. */
function finishedSection(part: PlanPart, wish: FinishWish): SectionModel | null {
  const outcome = planFinish({ ...part, knots: part.knots ?? undefined, areaM2: areaOfPart(part) }, wish)
  if ('refusal' in outcome) return null
  const steps = outcome.plan.steps.map((step, position) => ({
    step: { ...step, id: String(position), position },
    state: { status: 'done' as const, startedAt: null, endedAt: '', minutes: 0, coat: null },
  }))
  const plan = { id: '', ...wish, madeAt: '', steps: steps.map(({ step }) => step) }
  return sectionOf({
    part: { ...part, plan, earlier: [] },
    steps,
    window: null,
    running: null,
    next: null,
    finishedAt: '',
    handle: null,
    use: null,
  })
}

/** Waiting between the steps at the reference air, in minutes: the safe openings, added up. */
const waitingMinutes = (steps: readonly PlannedStep[]) =>
  steps.slice(0, -1).reduce((sum, { window }) => sum + (window?.opens[1] ?? 0), 0)

export function PlanForm({
  pieceId,
  part,
  tins,
}: {
  pieceId: string
  part: PlanPart
  tins: { family: FamilyCode; name: string; hex: string }[]
}) {
  const { planPart } = useActions()
  const write = useWrite(planPart)
  const router = useRouter()
  const [planId] = useState(() => uuidv7())
  const [stepIds] = useState(() => Array.from({ length: 60 }, () => uuidv7()))
  const [look, setLook] = useState<LookCode>(part.look ?? 'smooth-clear')
  const [paint, setPaint] = useState<FamilyCode>(part.paint ?? 'chalk-mineral')
  const [colours, setColours] = useState<Record<Slot, Colour>>({
    ...fallbackColours,
    ...firstTins(tins, part.paint ?? 'chalk-mineral'),
    ...part.colours,
  })

  const paints = getLook(look).paints
  const usable = paints.includes(paint) ? paint : (paints[0] ?? 'chalk-style')
  const slots = getLook(look).slots
  const wishFor = (code: LookCode): FinishWish => ({
    look: code,
    paint: getLook(code).paints.includes(usable) ? usable : (getLook(code).paints[0] ?? 'chalk-style'),
    colours: getLook(code).slots.length === 2 ? colours : { a: colours.a },
  })
  const wish = wishFor(look)
  const typed: PlanText = {
    planId,
    partId: part.id,
    pieceId,
    stepIds,
    at: new Date(0).toISOString(),
    look,
    paint: wish.paint,
    colours: { a: colours.a, ...(slots.length === 2 && { b: colours.b }) },
  }
  const readable = planInput.safeParse(typed)
  const troubles = readable.success
    ? {}
    : Object.fromEntries(readable.error.issues.map(({ path, message }) => [path.join('.'), message]))
  const outcome = readable.success
    ? planFinish({ ...part, knots: part.knots ?? undefined, areaM2: areaOfPart(part) }, wish)
    : null
  const steps = outcome && 'plan' in outcome ? remainingAfter(outcome.plan.steps, part.done) : []
  const minutes = steps.reduce((sum, step) => sum + step.minutes, 0)

  const save = async () => {
    if (await write.send({ ...typed, at: new Date().toISOString() })) router.push(`/pieces/${pieceId}`)
  }
  const choosePaint = (family: FamilyCode) => {
    setPaint(family)
    setColours({ ...colours, ...firstTins(tins, family) })
  }
  return (
    <div className="grid gap-x-12 gap-y-8 lg:grid-cols-[minmax(0,1.25fr)_minmax(0,1fr)]">
      <div>
        <RadioGroup.Root
          value={look}
          onValueChange={(value) => setLook(value as LookCode)}
          aria-label="Look"
          className="grid grid-cols-2 gap-4 sm:grid-cols-4 lg:grid-cols-2"
        >
          {lookCodes.map((code) => {
            const section = readable.success ? finishedSection(part, wishFor(code)) : null
            return (
              <RadioGroup.Item
                key={code}
                value={code}
                className="sheet group flex cursor-pointer flex-col overflow-hidden text-left outline-offset-2 data-[state=checked]:outline-4 data-[state=checked]:outline-now lg:flex-row"
              >
                {section ? (
                  <Section model={section} className="w-full shrink-0 lg:w-40" />
                ) : (
                  <span className="title grid aspect-square w-full shrink-0 place-items-center bg-well text-xl text-soft lg:w-40">
                    not here
                  </span>
                )}
                <span className="p-3">
                  <span className="block font-semibold leading-tight">{getLook(code).words}</span>
                  <span className="mt-1 block text-sm text-soft">{getLook(code).tells}</span>
                </span>
              </RadioGroup.Item>
            )
          })}
        </RadioGroup.Root>
        <div className="mt-6 grid grid-cols-1 gap-4 sm:grid-cols-2">
          <ChoiceField
            label="Paint"
            value={wish.paint}
            onChange={(event) => choosePaint(event.target.value as FamilyCode)}
            options={paints.map((code) => [code, getFamily(code).words] as const)}
            className="sm:col-span-2"
          />
          {slots.map((slot) => (
            <ColourChoice
              key={slot}
              words={(getLook(look).slotWords as Partial<Record<Slot, string>>)[slot] ?? 'Colour'}
              colour={colours[slot]}
              tins={tins.filter(({ family }) => family === wish.paint)}
              trouble={troubles[`colours.${slot}.name`] ?? troubles[`colours.${slot}.hex`]}
              choose={(colour) => setColours({ ...colours, [slot]: colour })}
            />
          ))}
        </div>
      </div>
      <section aria-labelledby="steps" aria-live="polite" className="border-t-2 border-ink pt-4">
        <h2 id="steps" className="title text-3xl">
          The way there
        </h2>
        {outcome && 'refusal' in outcome && (
          <div className="mt-3 border-l-4 border-late pl-4">
            <p className="text-lg font-semibold">{refusalWords[outcome.refusal.code]}</p>
            {outcome.refusal.nearest && outcome.refusal.nearest !== look && (
              <button type="button" className="press mt-3" onClick={() => setLook(outcome.refusal.nearest as LookCode)}>
                Nearest: {getLook(outcome.refusal.nearest).words}
              </button>
            )}
          </div>
        )}
        {steps.length > 0 && (
          <>
            <p className="mt-2">
              <span className="figure text-5xl">{spanWords(minutes)}</span>{' '}
              <span className="text-soft">of work, and at least {spanWords(waitingMinutes(steps))} of drying</span>
            </p>
            {outcome &&
              'plan' in outcome &&
              outcome.plan.advice.map((code) => (
                <p key={code} className="mt-3 border-l-4 border-now pl-3">
                  {adviceWords[code]}
                </p>
              ))}
            {part.done.length > 0 && (
              <p className="mt-3 border-l-4 border-now pl-3">
                What is done stays done: preparation the log already has is left out.
              </p>
            )}
            <ol className="mt-4 max-h-[30rem] overflow-y-auto border-y border-line" tabIndex={0} aria-label="Steps">
              {steps.map((step, k) => (
                <li key={stepIds[k]} className="grid grid-cols-[2rem_1fr_auto] gap-x-2 border-b border-line py-2 last:border-0">
                  <span className="figure pt-1 text-lg text-soft">{k + 1}</span>
                  <span>
                    <span className="font-semibold">{stepTitle(step)}</span>
                    <span className="block text-sm text-soft">
                      {[withWhat(step), reasonWords[step.reason]].filter(Boolean).join('. ')}
                    </span>
                    {step.window && (
                      <span className="block text-sm">
                        then wait {spanWords(step.window.opens[1])}
                        {step.window.closes ? `, but no longer than ${spanWords(step.window.closes[0])}` : ''}
                      </span>
                    )}
                  </span>
                  <span className="text-soft">{step.minutes} min</span>
                </li>
              ))}
            </ol>
          </>
        )}
        <div className="mt-5 space-y-3">
          <Trouble>{write.issue}</Trouble>
          <button
            type="button"
            disabled={steps.length === 0 || write.pending}
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

function firstTins(tins: { family: FamilyCode; name: string; hex: string }[], family: FamilyCode): Partial<Record<Slot, Colour>> {
  const [a, b] = tins.filter((tin) => tin.family === family)
  return { ...(a && { a: { name: a.name, hex: a.hex } }), ...(b && { b: { name: b.name, hex: b.hex } }) }
}

function ColourChoice({
  words,
  colour,
  tins,
  trouble,
  choose,
}: {
  words: string
  colour: Colour
  tins: { name: string; hex: string }[]
  trouble: string | undefined
  choose: (colour: Colour) => void
}) {
  return (
    <fieldset>
      <legend className="mb-2 font-semibold">{words}</legend>
      {tins.length > 0 && (
        <div className="mb-3 flex flex-wrap gap-2">
          {tins.map(({ name, hex }) => (
            <button
              key={hex}
              type="button"
              aria-pressed={hex === colour.hex}
              onClick={() => choose({ name, hex })}
              className="press pl-2 aria-pressed:outline-3 aria-pressed:outline-now"
            >
              <span
                aria-hidden
                className="size-8 rounded-[0.6rem_0.1rem_0.1rem_0.1rem] border border-ink/30"
                style={{ background: hex }}
              />
              {name}
            </button>
          ))}
        </div>
      )}
      <div className="grid grid-cols-[1fr_4rem] items-end gap-3">
        <TextField
          label="Its name"
          value={colour.name}
          trouble={trouble}
          onChange={(event) => choose({ ...colour, name: event.target.value })}
        />
        <input
          type="color"
          aria-label={`${words}: value`}
          value={colour.hex}
          onChange={(event) => choose({ ...colour, hex: event.target.value })}
          className="field cursor-pointer p-1"
        />
      </div>
    </fieldset>
  )
}
