/** The week as plain data: what the server reads and a device plans from, in its own time. Pure. */
import { type BenchData, readBench } from '@/core/bench/benchData'
import { climateIn, homeOf } from '@/core/climate/rooms'
import { type Air, referenceAir } from '@/core/drying/air'
import type { PlannedStep } from '@/core/finish/step'
import type { Entry } from '@/core/log/entry'
import { untouched } from '@/core/log/stepStates'
import type { Day, Instant, PartId, PieceId, RoomId, StepId } from '@/core/measure/named'
import type { Journey, PartJourney } from '@/core/piece/journey'
import type { Hand, OtherDay } from './hands'
import type { Pin, Workshop } from './place'
import type { KeptLine } from './planWeek'
import { workshopOf } from './workshop'

export interface WeekInForce {
  id: string
  madeAt: Instant
  lines: KeptLine[]
  pins: Pin[]
}
export interface WeekData {
  bench: BenchData
  zone: string
  hands: Hand[]
  others: OtherDay[]
  places: number | null
  /** the mean air of each room over the last weeks */
  expected: Record<RoomId, Air>
  week: WeekInForce | null
}
/** What is supposed in place of what is. */
export interface Supposed {
  /** beside the days that were said otherwise, before them */
  others?: readonly OtherDay[]
  /** in place of the days that were said otherwise */
  said?: readonly OtherDay[]
  pins?: readonly Pin[]
  /** the air of every room */
  air?: Air | undefined
  /** promises other than they are: days by piece */
  promised?: Readonly<Record<PieceId, Day>>
  /** steps that are thought of for a part, in place of those ahead of it */
  plans?: Readonly<Record<PartId, readonly PlannedStep[]>>
  /** one more piece that asks for all that this one asks for, promised or not */
  like?: { pieceId: PieceId; promisedOn: Day | null } | undefined
}
export const onePieceMore = 'one piece more'

/** The air a piece is expected to stand in: its room's mean, else as it was last read, else an ordinary room's. */
export const expectedAir =
  ({ expected, bench: { climates, rooms } }: WeekData) =>
  ({ file: { piece } }: Pick<Journey, 'file'>): Air =>
    expected[homeOf(piece.roomId, rooms)] ?? climateIn(climates, piece.roomId, rooms).at(-1) ?? referenceAir

/** The workshop at a moment, with entries the server does not know yet, as it is or as it is supposed to be. */
export function readWeek(data: WeekData, written: readonly Entry[], nowMs: number, supposed: Supposed = {}): Workshop {
  const { bench, zone, hands, others, places, week } = data
  const airOf = expectedAir(data)
  return workshopOf(supposedOf(readBench(bench, written, nowMs), supposed), {
    nowMs,
    zone,
    hands,
    others: [...(supposed.others ?? []), ...(supposed.said ?? others)],
    airOf: supposed.air ? () => supposed.air ?? referenceAir : airOf,
    learned: bench.learned,
    places,
    pins: supposed.pins ?? week?.pins ?? [],
  })
}

/** Whether a step is none of the studio's, only supposed. */
export const isSupposed = (stepId: StepId): boolean => stepId.endsWith('+')

function supposedOf(journeys: readonly Journey[], { promised = {}, plans = {}, like }: Supposed): Journey[] {
  const all = journeys.map((journey) => {
    const day = promised[journey.file.piece.id]
    const parts = journey.parts.map((lane) => withSteps(lane, plans[lane.part.id]))
    return { ...(day ? withPiece(journey, { promisedOn: day }) : journey), parts }
  })
  const model = like && all.find(({ file }) => file.piece.id === like.pieceId)
  if (!like || !model) return all
  const { piece } = model.file
  return [
    ...all,
    {
      ...withPiece(model, {
        id: onePieceMore,
        name: `One like the ${piece.name.toLowerCase()}`,
        client: null,
        promisedOn: like.promisedOn,
      }),
      parts: model.parts.map(anew),
      whole: model.whole && anew(model.whole),
      ending: null,
    },
  ]
}
const withPiece = (journey: Journey, over: Partial<Journey['file']['piece']>): Journey => ({
  ...journey,
  file: { ...journey.file, piece: { ...journey.file.piece, ...over } },
})
/** A part with other steps ahead of it. */
function withSteps(lane: PartJourney, thought: readonly PlannedStep[] | undefined): PartJourney {
  if (!thought) return lane
  const steps = thought.map((step, position) => ({
    step: { ...step, id: `${lane.part.id} ${position}+`, position, mends: null },
    state: untouched,
  }))
  return { ...lane, steps, next: steps[0]?.step ?? null, finishedAt: null, handle: null, use: null }
}
/** A part with all its steps ahead, under names of their own. */
function anew(lane: PartJourney): PartJourney {
  const steps = lane.steps.map(({ step }) => ({ step: { ...step, id: `${step.id}+` }, state: untouched }))
  return {
    ...lane,
    part: { ...lane.part, id: `${lane.part.id}+` },
    steps,
    done: [],
    window: null,
    running: null,
    turn: null,
    next: steps[0]?.step ?? null,
    finishedAt: null,
    handle: null,
    use: null,
    checks: [],
  }
}
