'use client'
/** The week under the hand: the plan as it stands now, a change that is thought of, and what it would cost. */
import { useCallback, useEffect, useMemo, useRef, useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { dayOf } from '@/core/measure/time'
import type { OutlookLine, WeekAnswer, WeekOutlook } from '@/core/week/ask'
import { supposedBy } from '@/core/week/keep'
import { lineKey, type Pin } from '@/core/week/place'
import type { KeptLine } from '@/core/week/planWeek'
import { isSupposed, type WeekData } from '@/core/week/weekData'
import { useActions } from '@/ui/form/actions'
import { useHouse } from '@/ui/form/house'
import { useWrite } from '@/ui/form/useWrite'
import { useOutbox } from '@/ui/outbox/useOutbox'
import { useRefresh } from '@/ui/time/useRefresh'
import { promiseWords } from '@/words/time'
import { Planner } from './planner'
import type { Compared } from './planner.worker'
import { asItWas, keeping, nothingSaid, type Said, type Thought } from './thoughts'
import { weighedOf } from './weighed'

/** A first answer, a better one, and what is thought of. Milliseconds. */
const budgets = { first: 150, better: 1500, thought: 500 }
/** how many weeks are worked by chance */
const weeks = 100
const seed = 20
/** ms: a key that is held down, or pressed again at once, asks once */
const settles = 120

export function useWeek(data: WeekData, nowMs: number) {
  const [falling, setFalling] = useState<number | null>(null)
  const [planner] = useState(() => new Planner(setFalling))
  const house = useHouse()
  const { entries } = useOutbox()
  const { keepWeek } = useActions()
  const refresh = useRefresh()
  const write = useWrite(keepWeek)
  const [answered, setAnswered] = useState<{ answer: WeekAnswer; data: WeekData } | null>(null)
  const answer = answered?.answer ?? null
  const [thought, setThought] = useState<Thought | null>(null)
  const [thoughtAnswer, setThoughtAnswer] = useState<Compared | null>(null)
  const [before, setBefore] = useState<Taken | null>(null)
  const pins = useMemo(() => data.week?.pins ?? [], [data.week])
  const takenFigures = useMemo(
    () =>
      new Map(
        (data.week?.lines ?? []).flatMap(({ stepId, side, figures }) => (figures ? [[lineKey(stepId, side), figures]] : [])),
      ),
    [data.week],
  )
  const asked = useRef(0)
  const asksSoon = useRef<ReturnType<typeof setTimeout>>(undefined)
  const [failed, setFailed] = useState(false)
  const [tries, setTries] = useState(1)

  useEffect(
    () => () => {
      clearTimeout(asksSoon.current)
      planner.end()
    },
    [planner],
  )

  useEffect(() => {
    asked.current += 1
    const number = asked.current
    const base = { data, written: entries, nowMs, supposed: {}, seed }
    const isNewest = () => asked.current === number
    const kept = data.week?.lines ?? []
    void (async () => {
      const first = await planner.ask('first', { ...base, from: kept, budgetMs: budgets.first, weeks: 0 })
      if (!isNewest()) return
      setAnswered({ answer: first, data })
      const from = 'outlook' in first ? first.outlook.kept : kept
      const goOn = { from: kept.length > 0 ? from : [], last: from }
      const better = await planner.ask('better', { ...base, ...goOn, budgetMs: budgets.better, weeks })
      if (isNewest()) setAnswered({ answer: better, data })
    })().catch(() => isNewest() && setFailed(true))
    // anew where something was written, the plan in force is another, or the time has gone on
  }, [data, entries, nowMs, planner, tries])
  const again = () => {
    setFailed(false)
    setTries(tries + 1)
  }

  const outlook: WeekOutlook | null = answer && 'outlook' in answer ? answer.outlook : null
  const think = useCallback(
    (wanted: Thought | null) => {
      setThought(wanted)
      setThoughtAnswer(null)
      clearTimeout(asksSoon.current)
      if (!wanted || !outlook || weighedOf(wanted, null, { ...data, pins }) === 'refused') return
      const base = { data, written: entries, nowMs, seed, from: outlook.kept }
      const ask = () =>
        void planner
          .compare({ ...base, supposed: wanted.supposed, budgetMs: budgets.thought, weeks })
          .then((found) => setThought((now) => (now?.key === wanted.key ? (setThoughtAnswer(found), now) : now)))
          .catch(() => undefined)
      asksSoon.current = setTimeout(ask, settles)
    },
    [planner, data, entries, nowMs, outlook, pins],
  )

  /** What would keep the window of a step, the smallest change first. */
  const seek = (line: OutlookLine) => {
    const step = line.step && { stepId: line.step.id, side: line.side ?? null }
    if (!step || !outlook) return
    const base = { data, written: entries, nowMs, seed, from: outlook.kept, supposed: {}, budgetMs: budgets.first, weeks: 0 }
    const wanted: Thought = { key: `seek ${line.key}`, words: 'What would keep it', supposed: {}, pins: null }
    clearTimeout(asksSoon.current)
    setThought(wanted)
    setThoughtAnswer(null)
    void planner
      .keep(base, step)
      .then((found) => {
        if (!found) return setThought({ ...wanted, key: 'none', words: 'Nothing that small keeps it; it is mended afterwards' })
        const { way, ...compared } = found
        const today = dayOf(new Date(nowMs).toISOString(), house.zone)
        const dayWords = way.kind === 'given' ? '' : promiseWords(way.day, today, house)
        setThought(keeping({ line, way, supposed: supposedBy(way, step, base), hands: data.hands, pins, dayWords }))
        setThoughtAnswer(compared)
      })
      .catch(() => undefined)
  }

  const keep = async ({ lines, pins: held, says }: Taken) => {
    // a key held down asks again before it is answered
    if (write.pending) return
    const told = typed(says)
    setBefore(
      data.week && {
        lines: data.week.lines,
        pins: data.week.pins,
        says: asItWas(says, { ...data, pieces: outlook?.pieces ?? [], told: told.forecasts }),
      },
    )
    const stored = lines.filter(({ stepId }) => !isSupposed(stepId))
    const ahead = new Set(lines.map(({ stepId }) => stepId))
    const pinsKept = held.filter(({ stepId }) => ahead.has(stepId))
    if (await write.send({ id: uuidv7(), lines: stored, pins: pinsKept, ...told })) {
      setThought(null)
      await refresh()
    }
  }
  const weighed = thought && weighedOf(thought, thoughtAnswer, { ...data, pins })
  return {
    answer,
    outlook,
    /** whether it was reckoned by what is known now, not by what was before */
    isOfNow: answered?.data === data,
    /** the planner stopped, and nothing better is on its way */
    failed,
    again,
    falling,
    pins,
    /** by which figures the steps of the plan in force were reckoned when it was taken, by their keys */
    takenFigures,
    thought,
    weighed,
    think,
    seek,
    issue: write.issue,
    pending: write.pending,
    isKept: outlook !== null && data.week !== null && sameLines(outlook.kept, data.week.lines),
    keepNow: () => outlook && keep({ lines: outlook.kept, pins, says: nothingSaid }),
    take: async () => {
      if (!thought || !weighed || weighed === 'refused') return
      await keep({
        lines: weighed.then.kept,
        pins: thought.pins ?? pins,
        says: { ...nothingSaid, ...thought.says },
      })
    },
    /** back to the plan that was in force before, and to the days as they were said then */
    undo: before && (() => keep(before)),
  }
}
export type Week = ReturnType<typeof useWeek>

/** A plan with what is said with it. */
interface Taken {
  lines: readonly KeptLine[]
  pins: readonly Pin[]
  says: Said
}
/** As the server is told it. */
const typed = ({ days, forecasts, takenBack, promises }: Said) => ({
  days: days.map((day) => ({ id: uuidv7(), ...day })),
  forecasts: forecasts.map(({ air, roomId, from, to }) => ({
    ...{ id: uuidv7(), roomId: roomId ?? '', from, to },
    temperature: String(air.temperature),
    humidity: String(air.humidity),
  })),
  takenBack: takenBack.map((forecastId) => ({ id: uuidv7(), forecastId })),
  promises: promises.map((promise) => ({ entryId: uuidv7(), ...promise })),
})

/** a step that stands so much earlier or later is the same week still */
const slips = 30 * 60_000
/** Whether what is ahead stands about where the plan in force has it, in the same hands. */
function sameLines(now: readonly KeptLine[], kept: readonly KeptLine[]): boolean {
  const keyOf = ({ stepId, side, personId }: KeptLine) => `${stepId} ${side} ${personId}`
  const known = new Map(kept.map((line) => [keyOf(line), line.at]))
  return now.every((line) => Math.abs((known.get(keyOf(line)) ?? Infinity) - line.at) <= slips)
}
