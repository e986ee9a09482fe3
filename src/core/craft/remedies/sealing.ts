/** What goes wrong with waxes, oils and clears. Source: the craft; `practice` where that is silent. */
import { addedLine, dewaxed, waxed } from '@/core/craft/preparation'
import { tinted } from '@/core/craft/topcoats'
import { again, block, cover, dust, lays, lint, type Remedy, rub } from './remedy'

const resistOff = addedLine({ operation: 'remove-resist', applicator: 'cloths and spirits' })

export const sealingRemedies = {
  'resist-left': {
    words: 'Resist under the topcoat',
    cause: 'Not wiped off.',
    remedy: 'Rub back to it, take it off with spirits, paint and seal again.',
    after: ['resist'],
    share: 0.1,
    steps: [rub('220'), resistOff, addedLine({ operation: 'wipe-spirits' }), cover],
    onTop: {
      wax: [...dewaxed, resistOff, cover],
    },
  },
  'wax-prints': {
    words: 'Finger prints show',
    cause: 'Buffed too soon.',
    remedy: 'Rest an hour, buff again.',
    after: ['buff'],
    share: 1,
    steps: waxed.slice(-1),
    replaces: ['buff'],
  },
  'wax-dull': {
    words: 'Dull spots in the wax',
    cause: 'Skips.',
    remedy: 'A touch of wax, rub, buff.',
    after: ['buff'],
    share: 0.1,
    steps: [...waxed],
  },
  'wax-tacky': {
    words: 'Wax stays sticky',
    cause: 'Excess left on: it never hardens.',
    remedy: 'New wax softens the old; take all of it off.',
    after: ['clear-wax', 'tinted-wax'],
    share: 1,
    steps: [...waxed],
    replaces: ['wax-off', 'buff'],
  },
  'wax-too-dark': {
    words: 'Dark wax too dark',
    cause: 'Too much, or not worked out.',
    remedy: 'Clear wax takes it off again.',
    after: ['tinted-wax'],
    share: 0.3,
    steps: [...waxed],
    replaces: ['wax-off', 'buff'],
  },
  'wax-murky': {
    words: 'The two waxes mixed, murky',
    cause: 'Tinted wax before the clear one was at tack.',
    remedy: 'Take both off with spirits, clear wax, wait, tint again.',
    after: ['tinted-wax'],
    share: 0.5,
    steps: [...dewaxed, ...waxed.slice(0, 1), ...tinted],
    replaces: ['clear-wax', 'tinted-wax', 'wax-off', 'buff'],
  },
  'wax-stain': {
    words: 'Dark wax stained bare paint',
    cause: 'No clear wax below.',
    remedy: 'It is there for good: wax off, block, colour again.',
    after: ['tinted-wax'],
    share: 0.5,
    steps: [...dewaxed, block, cover, ...waxed.slice(0, 1), ...tinted],
    replaces: ['clear-wax', 'tinted-wax', 'wax-off', 'buff'],
  },
  'oil-tacky': {
    words: 'Oil stays sticky',
    cause: 'Excess not wiped.',
    remedy: 'Rub with fresh oil, then wipe all of it.',
    after: ['oil'],
    share: 1,
    steps: [again],
    replaces: ['wipe-oil'],
  },
  'clear-lint': {
    words: 'Lint or nibs in the clear',
    cause: 'Not de-linted.',
    remedy: 'Rub with 320, off with the dust, one thin coat.',
    after: ['clear-coat'],
    share: 1,
    steps: [rub('320'), lint, again],
  },
  'clear-too-old': {
    words: 'Clear left more than a day',
    cause: 'The next coat came too late to bite.',
    remedy: 'Scuff lightly, off with the dust, then the next coat.',
    after: ['clear-coat', 'seal-between'],
    ahead: lays,
    share: 1,
    steps: [rub('320'), dust],
    replaces: ['smooth'],
  },
  'tack-missed': {
    words: 'Clear wax too dry for the tinted',
    cause: 'Its tack has gone.',
    remedy: 'A new thin coat of clear wax first.',
    after: ['clear-wax'],
    ahead: ['tinted-wax'],
    share: 1,
    steps: waxed.slice(0, 1),
  },
} as const satisfies Record<string, Remedy>
