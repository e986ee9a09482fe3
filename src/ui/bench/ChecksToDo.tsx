'use client'
/** Checks put off until later: each is asked again until it is answered. */
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { type CardContext, toStepCard } from '@/core/bench/stepCard'
import { checkOf } from '@/core/craft/checks'
import type { Journey, PartJourney } from '@/core/piece/journey'
import { lanesOf } from '@/core/piece/lanes'
import type { PlanStep } from '@/core/piece/piece'
import { useMoment } from '@/ui/form/useMoment'
import { later } from '@/ui/frame/later'
import { useOutbox } from '@/ui/outbox/useOutbox'
import { checkAsks, checkHows } from '@/words/checks'
import { stepTitle } from '@/words/craft'

const SnagForm = later(async () => (await import('./SnagForm')).SnagForm)

export function ChecksToDo({ journeys, around }: { journeys: readonly Journey[]; around: CardContext }) {
  const pending = journeys
    .filter(({ ending }) => !ending)
    .flatMap((journey) => lanesOf(journey).flatMap((part) => part.checks.map(({ step }) => ({ journey, part, step }))))
  if (pending.length === 0) return null
  return (
    <section aria-labelledby="to-check" className="mt-8">
      <h2 id="to-check" className="title text-3xl">
        Still to look at
      </h2>
      <ul className="mt-2">
        {pending.map((each) => (
          <Pending key={each.step.id} {...each} around={around} />
        ))}
      </ul>
    </section>
  )
}

function Pending({ journey, part, step, around }: { journey: Journey; part: PartJourney; step: PlanStep; around: CardContext }) {
  const { send } = useOutbox()
  const [wrong, setWrong] = useState(false)
  const [ids] = useState(() => ({ check: uuidv7(), failed: uuidv7() }))
  const moment = useMoment(ids.check)
  const check = checkOf(step)
  if (!check) return null
  const { piece } = journey.file
  const card = toStepCard(journey, part, step, around)
  const name = `${stepTitle(step)}, ${piece.name}, ${part.part.name.toLowerCase()}`
  const pass = () =>
    void send(
      'checkStep',
      {
        entryId: ids.check,
        pieceId: piece.id,
        partId: part.part.id,
        stepId: step.id,
        at: moment(),
        checkCode: check,
        result: 'pass',
      },
      `Checked: ${name}`,
    )
  return (
    <li className="border-b border-line py-3">
      <p>
        <strong className="block text-lg">{checkAsks[check]}</strong>
        <span className="text-soft">
          {name}. {checkHows[check]}
        </span>
      </p>
      <div className="mt-2 flex flex-wrap gap-2">
        <button type="button" className="press press-now" aria-label={`Yes: ${name}`} onClick={pass}>
          Yes
        </button>
        <button type="button" className="press" aria-expanded={wrong} onClick={() => setWrong(!wrong)}>
          Something is wrong
        </button>
      </div>
      {wrong && (
        <div className="mt-3">
          <SnagForm
            on={{ ...card, failed: { entryId: ids.failed, stepId: step.id, checkCode: check } }}
            done={() => setWrong(false)}
          />
        </div>
      )}
    </li>
  )
}
