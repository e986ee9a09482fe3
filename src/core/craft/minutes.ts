/**
 * How long a step takes: set-up and cleaning, and the work itself by what it is worked on and with. Minutes; pure. Source: the
 * craft, sections on the whole job and on the operations; the studio's own log is meant to correct them.
 */
import { readGrit } from './grit'
import { getOperation, type OperationCode } from './operations'

/** What is worked on, and with what. */
export interface Job {
  /** m², relief counted already */
  areaM2: number
  items?: number
  metres?: number
  /** the share of the area that is turned, ringed or carved, 0 to 1 */
  turned?: number
  applicator?: string | null
  grit?: string | null
  /** minutes to make up what goes on, where it is mixed for this step */
  mixing?: number
}

/** A tool's minutes on flats, against the hand and the brush; on turned work it saves nothing. */
const tools: readonly {
  is: (job: Job) => boolean
  flat: number
  turned: number
  setUp: number
  for: readonly OperationCode[]
}[] = [
  {
    is: ({ applicator, grit }) => readGrit(grit, applicator).machine,
    for: ['scuff', 'sand', 'smooth', 'dry-distress'],
    flat: 1 / 3,
    turned: 1,
    setUp: 0,
  },
  // two thirds saved on open work; the gun is cleaned for a quarter of an hour
  {
    is: ({ applicator }) => /spray/i.test(applicator ?? ''),
    for: ['coat', 'clear-coat', 'seal-between', 'block-prime', 'adhesion-prime'],
    flat: 1 / 3,
    turned: 1 / 2,
    setUp: 15,
  },
]

const stripping: readonly OperationCode[] = ['strip', 'scrape', 'dewax']
const rubbing: readonly OperationCode[] = [
  'scuff',
  'sand',
  'smooth',
  'dry-distress',
  'scrape-distress',
  'wax-off',
  'buff',
  'wipe-oil',
]
/** Turned, ringed and carved work takes three times the minutes in stripping, half as much again in brushing, waxing and rubbing. */
function turnedFactor(code: OperationCode): number {
  if (stripping.includes(code)) return 3
  return getOperation(code).layer !== undefined || rubbing.includes(code) ? 1.5 : 1
}

/** Standard minutes of a step, whole and at least 1. */
export function standardMinutes(code: OperationCode, job: Job): number {
  const { norm, overhead, per = 'm2' } = getOperation(code)
  const { turned = 0 } = job
  const tool = tools.find((each) => each.for.includes(code) && each.is(job))
  const effort = per === 'm2' ? (1 - turned) * (tool?.flat ?? 1) + turned * (tool?.turned ?? 1) * turnedFactor(code) : 1
  const amount = { m2: job.areaM2, item: job.items ?? 0, metre: job.metres ?? 0 }[per]
  return Math.max(1, Math.round(overhead + (tool?.setUp ?? 0) + (job.mixing ?? 0) + amount * norm * effort))
}
