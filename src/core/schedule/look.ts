/** How weeks that are worked beside each other are looked at: how many, which are likely; told by chance, and by what came far. Pure. */
import type { Search } from './search'

export interface Look {
  /** so many weeks beside each other, of which so many have the same steps done */
  width: number
  alike: number
  /** of one week so many go on at most; and of each that there was so many steps ago, counted anew as often, this share of the width */
  children: number
  kin: { steps: number; share: number }
  /** minutes: what is late so much later counts for a third; whether they are those that hands work, or the clock's */
  near: number
  byWork: boolean
  /** what the time that hands have left counts beside that of a step; and how much of all is chance */
  hands: number
  chance: number
  /** minutes for which hands may wait for something while something else could be done */
  idle: number
}

/** What is likely is told one way or another, which is best by chance (see `Look`); half of the time as weeks came furthest by it. */
const looks = {
  near: [60, 120, 240, 480, 960],
  hands: [1, 3, 6, 15],
  alike: [1, 1, 2],
  children: [2, 2, 9],
  kin: [
    { steps: 8, share: 1 },
    { steps: 8, share: 0.2 },
    { steps: 8, share: 0.1 },
    { steps: 16, share: 0.1 },
    { steps: 16, share: 0.05 },
  ],
  chance: 0.1,
  idle: { minutes: 120, anyhow: 0.5 },
  anyManner: 0.5,
}
/** A way to tell what is likely, and how far weeks came by it. */
interface Manner {
  near: number
  byWork: boolean
  tries: number
  came: number
}

/** One look after the other, each told how far weeks came by the one before. */
export class Looks {
  private readonly manners: Manner[] = looks.near.flatMap((near) =>
    [true, false].map((byWork) => ({ near, byWork, tries: 0, came: 0 })),
  )
  private manner: Manner | undefined

  constructor(private readonly search: Pick<Search, 'random' | 'pick' | 'problem'>) {}

  next(width: number): Look {
    const { search } = this
    const { minutes, anyhow } = looks.idle
    this.manner = this.nextManner()
    const { near, byWork } = this.manner
    return {
      ...{ width, near, byWork, children: search.pick(looks.children), kin: search.pick(looks.kin) },
      ...{ alike: search.pick(looks.alike), hands: search.pick(looks.hands), chance: looks.chance * search.random() },
      idle: search.random() < anyhow ? search.problem.horizon : minutes * search.random(),
    }
  }
  /** Those by which weeks came furthest, half of the time. */
  private nextManner(): Manner {
    const { search, manners } = this
    const far = ({ tries, came }: Manner) => (tries === 0 ? 1 : came / tries)
    if (search.random() < looks.anyManner) return search.pick(manners)
    return manners.reduce((best, each) => (far(each) > far(best) ? each : best))
  }
  /** How far the week came that was looked at so: a share of its steps. */
  came(share: number): void {
    if (!this.manner) return
    this.manner.tries += 1
    this.manner.came += share
  }
}
