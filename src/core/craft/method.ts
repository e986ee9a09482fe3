/**
 * The house method: where good painters disagree, the studio picks, and a piece may depart from it. Source: the craft,
 * section on disagreements. Pure data.
 */

export const schools = {
  key: { scuff: 'scuff everything that shines', prove: 'clean only where the paint grips, and prove it with a scratch' },
  between: { smooth: '220 between coats, glass-smooth', texture: 'leave the texture' },
  topcoat: {
    'by-look': 'what the look asks for',
    wax: 'wax',
    clear: 'water-based clear',
    oil: 'oil',
    none: 'none where the paint seals itself',
  },
  layers: { apart: 'seal between colours that re-wet', blend: 'let them blend' },
  distress: { damp: 'damp cloth where it can', hand: 'abrasive by hand', blade: 'blade, held flat', sander: 'power sander' },
  waxRest: { overnight: 'left 12 to 24 hours, then buffed', hour: 'off and buffed within the hour' },
  drying: { wait: 'wait', fan: 'a fan on it' },
  chalky: { buy: 'bought', mix: 'mixed of latex and plaster' },
  thinning: { mist: 'mist the brush', thin: 'thin the paint' },
  mixing: { measure: 'measured, and written down', eye: 'by eye' },
  cleaner: { degreaser: 'all-purpose cleaner and rinse', soap: 'soap and hot water, rinsed', spirits: 'spirits only' },
  fullUse: { '30': 'after 30 days', '21': 'after 21 days' },
} as const

export type SchoolCode = keyof typeof schools
export type HouseMethod = { [K in SchoolCode]: keyof (typeof schools)[K] }
export const schoolCodes = Object.keys(schools) as SchoolCode[]

export const defaultMethod: HouseMethod = {
  key: 'scuff',
  between: 'smooth',
  topcoat: 'by-look',
  layers: 'apart',
  distress: 'damp',
  waxRest: 'overnight',
  drying: 'wait',
  chalky: 'buy',
  thinning: 'mist',
  mixing: 'measure',
  cleaner: 'degreaser',
  fullUse: '30',
}

/** The schools a line of a table is for; any where none is named. */
export type SchoolsAsked = { [K in SchoolCode]?: readonly HouseMethod[K][] }

/** Whether a house works as a line of a table asks; a line that asks nothing fits every house. */
export const methodAllows = (asked: SchoolsAsked | undefined, method: HouseMethod): boolean =>
  !asked || schoolCodes.every((code) => (asked[code] as readonly string[] | undefined)?.includes(method[code]) ?? true)
