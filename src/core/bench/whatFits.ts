/** The best use of so many minutes: whole minutes, set-up and cleaning counted once for what is alike; pure. */
import type { BenchLine, WhyCode } from './benchOrder'

/** What a step is worth doing now, in thousandths: a window that closes before all else. Practice. */
const worth: Record<WhyCode, number> = {
  running: 0,
  turn: 5_000,
  planned: 5_000,
  closing: 12_000,
  promised: 5_000,
  missed: 4_000,
  'long-dry-after': 4_000,
  open: 3_000,
  'test-first': 2_000,
  'nothing-holds': 2_000,
  client: 0,
}

/** Alike work is done in one go: one brush, one mix. */
const goOf = ({ step }: BenchLine) => `${step.operation} ${step.family} ${step.colour?.hex} ${step.mix}`

/** A set that takes exactly so many minutes, as the line taken last and the set before it. */
interface Taken {
  worth: number
  line: BenchLine | null
  before: Taken | null
}
/** The best set for each number of minutes; none where no set takes just so long. */
type Best = (Taken | undefined)[]

const better = (one: Taken | undefined, other: Taken | undefined) =>
  other === undefined || (one !== undefined && one.worth >= other.worth) ? one : other

/** The sets of `from` with one line more, each so many minutes longer. */
const grown = (from: Best, line: BenchLine, minutes: number, limit: number): Best => {
  // among steps of a kind, more work done is worth a little more
  const gain = worth[line.why] + line.step.minutes
  return Array.from({ length: limit + 1 }, (_, used) => {
    const before = from[used - minutes]
    return before && { worth: before.worth + gain, line, before }
  })
}
const merged = (one: Best, other: Best): Best =>
  Array.from({ length: Math.max(one.length, other.length) }, (_, used) => better(one[used], other[used]))

function linesOf(set: Taken | null): BenchLine[] {
  return set?.line ? [...linesOf(set.before), set.line] : []
}

/**
 * The set worth most that fits into `minutes`, of every set of the lines; steps that are alike share their set-up and
 * cleaning and stand together, else in bench order. Of two sets worth the same, the shorter.
 */
export function whatFits(
  lines: readonly BenchLine[],
  minutes: number,
  sharedOverhead: (line: BenchLine) => number,
): { taken: BenchLine[]; minutes: number } {
  let best: Best = [{ worth: 0, line: null, before: null }]
  for (const go of new Set(lines.map(goOf))) {
    // sets that hold one of this go already: whatever is added to them comes without its set-up
    let begun: Best = []
    for (const line of lines.filter((each) => goOf(each) === go)) {
      const shared = Math.min(sharedOverhead(line), line.step.minutes - 1)
      const first = grown(best, line, line.step.minutes, minutes)
      const further = grown(begun, line, line.step.minutes - shared, minutes)
      begun = merged(begun, merged(first, further))
    }
    best = merged(best, begun)
  }
  const most = best.reduce((found, set) => better(found, set), undefined)
  const chosen = new Set(linesOf(most ?? null))
  const taken = lines.filter((line) => chosen.has(line))
  const inGoes = [...new Set(taken.map(goOf))].flatMap((go) => taken.filter((line) => goOf(line) === go))
  return { taken: inGoes, minutes: most ? best.indexOf(most) : 0 }
}
