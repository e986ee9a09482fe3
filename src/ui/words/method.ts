/** The schools, as questions to the house. */
import type { SchoolCode } from '../../core/finish/method'

export const schoolWords: Record<SchoolCode, string> = {
  key: 'Key',
  between: 'Between coats',
  topcoat: 'Topcoat',
  layers: 'Colours that re-wet',
  distress: 'Wearing back',
  waxRest: 'Wax',
  cleaner: 'Cleaning',
  fullUse: 'Full use',
}
