/** The week as plain data: what the server reads and a device plans from, in its own time. Pure. */
import { type BenchData, readBenchBack, type WrittenBench } from '@/core/bench/benchData'
import type { AirAhead, Forecast } from '@/core/climate/airAhead'
import { climateIn, homeOf } from '@/core/climate/rooms'
import { type Air, referenceAir } from '@/core/drying/air'
import type { PlannedStep } from '@/core/finish/step'
import type { Pace } from '@/core/learn/pace'
import { untouched } from '@/core/log/stepStates'
import { keptOr, makeKept } from '@/core/measure/kept'
import type { Day, Instant, PartId, PieceId, RoomId, StepId } from '@/core/measure/named'
import { dayAfter } from '@/core/measure/time'
import { makeWriter, readBack, type Written } from '@/core/measure/written'
import { type Journey, type PartJourney, readPiece } from '@/core/piece/journey'
import type { PieceFile } from '@/core/piece/piece'
import { type Hand, instantAt, type OtherDay } from './hands'
import { lineKey, type Pin, type Workshop } from './place'
import type { KeptLine } from './planWeek'
import { workshopOf } from './workshop'

export interface WeekInForce {
  id: string
  madeAt: Instant
  lines: KeptLine[]
  pins: Pin[]
}
/** What a week is planned by beside the bench. */
export interface WeekAround {
  zone: string
  hands: Hand[]
  others: OtherDay[]
  places: number | null
  /** the mean air of each room over the last weeks: a day from midnight UTC on, in stretches of one length */
  expected: Record<RoomId, Air[]>
  /** what somebody said of the days to come, the newest first */
  forecasts: Forecast[]
  /** how long work takes here */
  pace: Pace
  week: WeekInForce | null
}
export interface WeekData extends WeekAround {
  bench: BenchData
}
/** The week on its way to a device, written down. */
export interface WrittenWeek {
  bench: WrittenBench
  around: Written<WeekAround>
}
/** studios whose weeks are asked for again and again */
const mostAround = 20
const writtenAround = makeWriter<WeekAround>(mostAround)
const aroundLately = makeKept<Written<WeekAround>, WeekAround>(mostAround)
export const writeWeek = (bench: WrittenBench, around: WeekAround): WrittenWeek => ({ bench, around: writtenAround(around) })
export const readWeekBack = ({ bench, around }: WrittenWeek): WeekData => ({
  ...keptOr(aroundLately, around, readBack),
  bench: readBenchBack(bench),
})

/** What is supposed in place of what is. */
export interface Supposed {
  /** beside the days that were said otherwise, before them */
  others?: readonly OtherDay[]
  /** in place of the days that were said otherwise */
  said?: readonly OtherDay[]
  pins?: readonly Pin[]
  /** air beside what was said of it, before that */
  forecasts?: readonly Forecast[]
  /** promises other than they are: days by piece */
  promised?: Readonly<Record<PieceId, Day>>
  /** steps that are thought of for a part, in place of those ahead of it */
  plans?: Readonly<Record<PartId, readonly PlannedStep[]>>
  /** a piece that may come in, with what is planned for it */
  comes?: PieceFile
  /** one more piece that asks for all that this one asks for, promised or not */
  like?: { pieceId: PieceId; promisedOn: Day | null } | undefined
}
export const onePieceMore = 'one piece more'

/** The air a piece is expected to stand in: as it was said, else its room's by the hour, else as it was last read, else an ordinary room's. */
export function expectedAir({ expected, forecasts, zone, bench: { climates, rooms } }: WeekData, more: readonly Forecast[] = []) {
  const said = [...more, ...forecasts].map(({ roomId, from, to, air }) => ({
    ...{ roomId, air, fromMs: Date.parse(instantAt(from, 0, zone)) },
    toMs: Date.parse(instantAt(dayAfter(to, 1), 0, zone)),
  }))
  return ({ file: { piece } }: Pick<Journey, 'file'>): AirAhead => {
    const home = homeOf(piece.roomId, rooms)
    const usual = expected[home] ?? [climateIn(climates, piece.roomId, rooms).at(-1) ?? referenceAir]
    return { usual, said: said.filter(({ roomId }) => roomId === null || roomId === home) }
  }
}

/** When the steps of a plan end. */
const endsOf = (lines: readonly KeptLine[]): Map<string, number> =>
  new Map(lines.map(({ stepId, side, at, figures }) => [lineKey(stepId, side), at + (figures?.minutes ?? 0) * 60_000]))

/**
 * The workshop at a moment, its pieces as they stand, as it is or as it is supposed to be. `last`: where its steps were
 * planned to stand last, for what dries is reckoned from then.
 */
export function readWeek(
  data: WeekData,
  journeys: readonly Journey[],
  nowMs: number,
  supposed: Supposed = {},
  last: readonly KeptLine[] = data.week?.lines ?? [],
): Workshop {
  const { bench, zone, hands, others, places, week, pace } = data
  return workshopOf(supposedOf([...journeys, ...comingIn(supposed, nowMs)], supposed), {
    nowMs,
    zone,
    hands,
    others: [...(supposed.others ?? []), ...(supposed.said ?? others)],
    airOf: expectedAir(data, supposed.forecasts),
    learned: bench.learned,
    pace,
    ends: endsOf(last),
    ...{ places, rooms: bench.rooms },
    pins: supposed.pins ?? week?.pins ?? [],
  })
}

/** Whether a step is none of the studio's, only supposed. */
export const isSupposed = (stepId: StepId): boolean => stepId.endsWith('+')

const comingIn = ({ comes }: Supposed, nowMs: number): Journey[] => (comes ? [readPiece(comes, { climate: [], nowMs })] : [])

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
