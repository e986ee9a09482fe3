/** What is not done about a piece that is about to leave, in words. */
import type { Concern } from '@/core/piece/leaving'

const plural = (count: number, one: string, many: string) => (count === 1 ? one : `${count} ${many}`)

const sentences: Record<Concern['code'], (count: number) => string> = {
  'nothing-done': () => 'Nothing has been done on it.',
  'no-finish': () => 'No finish was chosen for it.',
  running: () => 'A clock is running on it.',
  'steps-ahead': (count) => `${plural(count, 'One step is', 'steps are')} still ahead of it.`,
  unsealed: () => 'Its paint is not sealed: a drop of water marks it.',
  'left-on-it': () => 'Wax, resist or tape is still on it.',
  'still-wet': () => 'Its last coat is not dry yet.',
  'checks-open': (count) => `${plural(count, 'One check was', 'checks were')} put off and never answered.`,
  'snags-open': (count) => `${plural(count, 'One snag is', 'snags are')} not mended.`,
}

/** "Doors: 3 steps are still ahead of it." */
export const concernWords = ({ code, part, count }: Concern): string =>
  `${part === null ? '' : `${part}: `}${sentences[code](count)}`
