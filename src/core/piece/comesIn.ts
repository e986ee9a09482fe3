/** A piece that may come in, with one look on every part: what the week would have to hold of it. Pure. */
import type { Counted } from '@/core/craft/job'
import { mayHoldLead } from '@/core/craft/lead'
import { type LookCode, paintFor } from '@/core/craft/looks'
import type { HouseMethod } from '@/core/craft/method'
import type { PlannedStep } from '@/core/finish/step'
import type { Instant, PieceId } from '@/core/measure/named'
import { jobPlanStep, proposeJob } from '@/core/plan/job'
import { planFinish } from '@/core/plan/planFinish'
import { factsOf } from './facts'
import type { Part, Piece, PieceFile } from './piece'
import { plainPlan } from './plainPlan'

interface Coming extends Pick<Piece, 'client' | 'promisedOn' | 'roomId'> {
  id: PieceId
  parts: readonly Omit<Part, 'plan' | 'earlier'>[]
  counted: Counted
}
interface Around {
  look: LookCode
  method: HouseMethod
  at: Instant
}
const anyColours = { a: { name: 'one', hex: '#77776f' }, b: { name: 'another', hex: '#d8d2c4' } }

/** The piece with its plans, and the names of the parts that can't take the look as they are. */
export function comesIn(
  { id, parts, counted, ...facts }: Coming,
  { look, method, at }: Around,
): { file: PieceFile; refused: string[] } {
  const wish = { look, with: [], paint: paintFor(look, 'chalk-style'), colours: anyColours }
  // none of their steps is the studio's yet
  const named = (partId: string, steps: readonly PlannedStep[]) =>
    steps.map((step, position) => ({ ...step, id: `${partId} ${position}+`, position }))
  const planned = parts.map((part): Part => {
    const outcome = planFinish(factsOf(part), wish, method)
    const plan = { ...wish, id: `${part.id} plan`, seal: null, departures: {}, madeAt: at }
    return { ...part, earlier: [], plan: 'plan' in outcome ? { ...plan, steps: named(part.id, outcome.plan.steps) } : null }
  })
  const lead = parts.some(mayHoldLead)
  const isCounted = Object.values(counted).some((times) => times > 0)
  const around = isCounted ? proposeJob(counted, facts.client !== null).map((step) => jobPlanStep(step, lead)) : []
  const [first] = planned
  const wholeId = `${id} whole`
  const whole = first && { ...first, id: wholeId, plan: { ...plainPlan(wholeId, 'job', at), steps: named(wholeId, around) } }
  return {
    file: {
      piece: {
        ...facts,
        id,
        name: 'It',
        source: 'own',
        sourceNote: null,
        takenInAt: at,
        expected: null,
        condition: null,
        article: null,
      },
      parts: planned,
      takenOut: [],
      whole: whole && around.length > 0 ? whole : null,
      counted,
      log: [],
      photos: [],
    },
    refused: planned.flatMap(({ plan, name }) => (plan ? [] : [name])),
  }
}
