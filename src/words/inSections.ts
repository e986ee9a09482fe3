/** What is said of work that is done a section at a time. */
import { getOperation } from '@/core/craft/operations'
import type { SectionWork } from '@/core/craft/sections'
import type { SectionClock } from '@/core/finish/sections'
import { pastWords } from './craft'

/** How a step is worked whose window closes sooner than it lasts; empty where it is done in one go. */
export const sectionWords = (sections: number): string =>
  sections > 1 ? `In ${sections} sections: each is followed up before the next is begun.` : ''

const sectionWork: Record<SectionWork, { due: string; late: string }> = {
  wash: { due: 'Wipe it back now.', late: 'Too long: re-wet its edge.' },
  glaze: { due: 'Lift it now, and soften it.', late: 'Too long: open it again with clear glaze.' },
}
/** What is to be done to a section whose time is all but up. */
export const sectionDueWords = (clock: SectionClock): string =>
  'of' in clock ? sectionWork[clock.of].due : `Now on this section: ${getOperation(clock.then).words.toLowerCase()}.`
/** What it means that a section stood too long. */
export const sectionLateWords = (clock: SectionClock): string =>
  'of' in clock ? sectionWork[clock.of].late : clock.past ? pastWords[clock.past] : 'Too long.'
