/** What goes wrong with waxes, oils and clears. Source: the craft; `practice` where that is silent. */
import { dewaxed, spirits } from '@/core/craft/preparation'
import { deLint, oiled, tinted, waxed } from '@/core/craft/topcoats'
import { again, block, clear, dust, polish, type Remedy, rub } from './remedy'

export const sealingRemedies = {
  'resist-left': {
    words: 'Resist under the topcoat',
    cause: 'Not wiped off.',
    remedy: 'Rub back to it, take it off with spirits, paint and seal again.',
    share: 0.1,
    steps: [rub('180'), spirits, again, deLint, clear],
  },
  'wax-prints': {
    words: 'Finger prints show',
    cause: 'Buffed too soon.',
    remedy: 'Rest an hour, buff again.',
    share: 1,
    steps: polish,
  },
  'wax-dull': {
    words: 'Dull spots in the wax',
    cause: 'Skips.',
    remedy: 'A touch of wax, rub, buff.',
    share: 0.1,
    steps: [...waxed],
  },
  'wax-tacky': {
    words: 'Wax stays sticky',
    cause: 'Excess left on: it never hardens.',
    remedy: 'New wax softens the old; take all of it off.',
    share: 1,
    steps: [...waxed],
  },
  'wax-too-dark': {
    words: 'Dark wax too dark',
    cause: 'Too much, or not worked out.',
    remedy: 'Clear wax takes it off again.',
    share: 0.3,
    steps: [...waxed],
  },
  'wax-murky': {
    words: 'The two waxes mixed, murky',
    cause: 'Tinted wax before the clear one was at tack.',
    remedy: 'Take both off with spirits, clear wax, wait, tint again.',
    share: 0.5,
    steps: [...dewaxed, ...waxed.slice(0, 1), ...tinted],
  },
  'wax-stain': {
    words: 'Dark wax stained bare paint',
    cause: 'No clear wax below.',
    remedy: 'It is there for good: wax off, block, colour again.',
    share: 0.5,
    steps: [...dewaxed, block, again],
  },
  'oil-tacky': {
    words: 'Oil stays sticky',
    cause: 'Excess not wiped.',
    remedy: 'Rub with fresh oil, then wipe all of it.',
    share: 1,
    steps: oiled('drying-oil'),
  },
  'clear-lint': {
    words: 'Lint or nibs in the clear',
    cause: 'Not de-linted.',
    remedy: 'Rub with 320, off with the dust, one thin coat.',
    share: 1,
    steps: [rub('320'), deLint, clear],
  },
  'clear-too-old': {
    words: 'Clear left more than a day',
    cause: 'The next coat came too late to bite.',
    remedy: 'Scuff lightly, off with the dust, then the next coat.',
    share: 1,
    steps: [rub('320'), dust],
  },
  'tack-missed': {
    words: 'Clear wax too dry for the tinted',
    cause: 'Its tack has gone.',
    remedy: 'A new thin coat of clear wax first.',
    share: 1,
    steps: waxed.slice(0, 1),
  },
} as const satisfies Record<string, Remedy>
