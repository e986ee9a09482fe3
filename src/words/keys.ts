/** The keys, few and our own, in the order they are listed; a page answers to those whose button stands on it. */
export const keyWords = {
  s: 'Start the step at hand; end it when it runs',
  p: 'Pause it, or go on',
  n: 'Write a note',
  t: 'Take this way',
  u: 'As it was planned',
  '1': 'The bench',
  '2': 'The week',
  '3': 'The pieces',
  '4': 'The shelf',
  '5': 'The house',
} as const
export type KeyCode = keyof typeof keyWords
