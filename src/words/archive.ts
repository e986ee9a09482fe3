/** What is wrong with an archive of a studio, as a sentence. */
import type { Fault } from '@/core/house/archive'

const words: Record<Fault['is'], string> = {
  missing: 'is missing',
  'not-listed': 'is in the archive, and the manifest does not know it',
  'other-bytes': 'is not what was put in: its bytes are others',
  'not-json': 'can’t be read as JSON',
  'not-a-manifest': 'is no manifest of a studio',
  'other-table': 'is of a table that this version does not know',
  'not-readable': 'can’t be read',
  twice: 'is there twice',
  'leads-nowhere': 'leads to something that is not in the archive',
  'other-studio': 'belongs to another studio',
  'too-new': 'was written by a newer version than this one; take that',
  'no-photograph': 'has no picture in the archive',
  refused: 'is refused by the database',
}
/** "tables/entry.json, row 12, at: can't be read (Invalid ISO datetime)". */
export const faultSentence = ({ file, row, column, is, why }: Fault): string =>
  `${file}${row === undefined ? '' : `, row ${row}`}${column === undefined ? '' : `, ${column}`} ${words[is]}${why ? ` (${why})` : ''}`
