'use client'
/** A look and what it asks: what is laid over it, its paint with why, its colours. */
import type { ReactNode } from 'react'
import { type FamilyCode, getFamily } from '@/core/craft/families'
import { addOnCodes, getLook } from '@/core/craft/looks'
import type { Slot } from '@/core/craft/recipe'
import type { DeskTin } from '@/core/desk/state'
import { findRefusal } from '@/core/finish/refusals'
import type { PlannedStep } from '@/core/finish/step'
import type { Colour, looksOf } from '@/core/finish/wish'
import type { RankedPaint } from '@/core/plan/rankPaints'
import { ChoiceField } from '@/ui/form/Field'
import { coverWords, paintReasonWords, refusalWords } from '@/words/craft'
import { spanWords } from '@/words/time'
import { ColourChoice, suggestedFor } from './ColourChoice'
import { LookChoice } from './LookChoice'
import type { Desk } from './useDesk'

export function LookFields({ desk, tins, topcoat }: { desk: Desk; tins: readonly DeskTin[]; topcoat: ReactNode }) {
  const { state, act, wish, looks, slots, troubles, plan, kept } = desk
  const { look, colours } = state
  const choosePaint = (to: FamilyCode) => act({ kind: 'paint', to })
  return (
    <>
      <LookChoice look={look} choose={(to) => act({ kind: 'look', to })} drawn={desk.drawn} />
      <LaidOver desk={desk} />
      <div className="mt-4 grid grid-cols-[minmax(0,1fr)] items-start gap-3 sm:mt-6 sm:grid-cols-2 sm:gap-4">
        <ChoiceField
          label="Paint"
          className="beside"
          value={wish.paint}
          onChange={(event) => choosePaint(event.target.value as FamilyCode)}
          options={onShelfFirst(getLook(look).paints, tins).map((code) => [code, getFamily(code).words] as const)}
        />
        {topcoat}
        <RankedPaints ranked={desk.ranked} paint={wish.paint} choose={choosePaint} most={getLook(look).paints.length} />
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
              suggestions={slot === 'a' && slots.includes('b') ? suggestedFor(colours.b) : []}
              trouble={troubles[`colours.${slot}.name`] ?? troubles[`colours.${slot}.hex`]}
              choose={(to) => act({ kind: 'colour', slot, to })}
            />
          )
        })}
      </div>
    </>
  )
}

/** Looks laid over the look; what can't be says why. */
function LaidOver({ desk: { state, act, wish, facts } }: { desk: Desk }) {
  const offered = addOnCodes
    .filter((code) => code !== state.look)
    .map((code) => {
      const on = state.extras.includes(code)
      const refusal = on ? null : findRefusal(facts, { ...wish, with: [...(wish.with ?? []), code] })
      return { code, on, refusal }
    })
  return (
    <fieldset className="beside mt-2 min-w-0 sm:mt-5">
      <legend className="mb-1 font-semibold">Laid over it</legend>
      <div className="strip">
        {offered.map(({ code, on, refusal }) => (
          <button
            key={code}
            type="button"
            aria-pressed={on}
            disabled={refusal !== null}
            onClick={() => act({ kind: 'over', look: code, on: !on })}
            className="press aria-pressed:outline-3 aria-pressed:outline-now"
          >
            {getLook(code).words}
          </button>
        ))}
      </div>
      {offered.map(
        ({ code, refusal }) =>
          refusal && (
            <p key={code} className="mt-1 text-sm text-soft">
              {getLook(code).words}: {refusalWords[refusal.code]}
            </p>
          ),
      )}
    </fieldset>
  )
}

/** Every paint that this look can be had in here, the one that asks for the least first, with what speaks for it and against it. */
function RankedPaints({
  ranked,
  most,
  paint,
  choose,
}: {
  /** null until it is known */
  ranked: readonly RankedPaint[] | null
  /** how many there can be */
  most: number
  paint: FamilyCode
  choose: (paint: FamilyCode) => void
}) {
  if ((ranked?.length ?? most) < 2) return null
  return (
    <details className="-my-2 sm:col-span-2">
      <summary className="tap underline">Which paint, and why</summary>
      <ol>
        {ranked?.map((each) => (
          <li key={each.paint} className="flex items-start justify-between gap-4 border-b border-line py-2">
            <span className="min-w-0">
              <span className="font-semibold">{getFamily(each.paint).words}</span>{' '}
              <span className="whitespace-nowrap text-soft">
                {spanWords(each.figures.minutes)}, {each.figures.days === 1 ? 'one day' : `${each.figures.days} days`}
              </span>
              <span className="block text-soft">{each.reasons.map((reason) => paintReasonWords[reason]).join(' · ')}</span>
            </span>
            <button
              type="button"
              className="press shrink-0"
              disabled={each.paint === paint}
              aria-label={`Take ${getFamily(each.paint).words}`}
              onClick={() => choose(each.paint)}
            >
              {each.paint === paint ? 'Chosen' : 'Take it'}
            </button>
          </li>
        ))}
      </ol>
    </details>
  )
}

/** What stands on the shelf before what would be bought. */
const onShelfFirst = (paints: readonly FamilyCode[], tins: readonly DeskTin[]): FamilyCode[] => {
  const there = new Set(tins.map(({ family }) => family))
  return [...paints].sort((a, b) => Number(there.has(b)) - Number(there.has(a)))
}

const coatsIn = (steps: readonly { step: PlannedStep }[], colour: Colour) =>
  steps.filter(({ step }) => step.operation === 'coat' && step.colour?.hex === colour.hex).length

const slotWords = (looks: ReturnType<typeof looksOf>, slot: Slot): string =>
  looks.map((look) => look.slotWords[slot]).find((words) => words !== undefined) ?? 'Colour'
