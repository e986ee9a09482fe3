/** The schools, as questions to the house. */
import { type SchoolCode, schools } from '@/core/craft/method'

export const schoolWords: Record<SchoolCode, string> = {
  key: 'Key',
  between: 'Between coats',
  topcoat: 'Topcoat',
  layers: 'Colours that re-wet',
  distress: 'Wearing back',
  waxRest: 'Wax',
  drying: 'Drying',
  chalky: 'Chalk-style paint',
  thinning: 'Paint that drags',
  mixing: 'Mixes',
  cleaner: 'Cleaning',
  fullUse: 'Full use',
}

/** What a school's choice is called. */
export const schoolChoiceWords = (code: SchoolCode, to: string): string => (schools[code] as Record<string, string>)[to] ?? to
