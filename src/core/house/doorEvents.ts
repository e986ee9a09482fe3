/** What happens at the doors, and is told. Pure tables. */

export const doorEvents = [
  'came-in',
  'went-out',
  'signed-out',
  'copied',
  'joined',
  'sent-away',
  'role',
  'password',
  'invited',
  'invitation-back',
  'codes-on',
  'codes-off',
  'printed-code',
  'codes-asked',
  'codes-left',
  'key-made',
  'key-ended',
  'passkey-made',
  'passkey-ended',
  // of what the house goes by
  'made',
  'changed',
  'ended',
] as const
export type DoorEvent = (typeof doorEvents)[number]
/** What is asked for together. */
export const happenedGroups = {
  doors: [
    'came-in',
    'went-out',
    'signed-out',
    'copied',
    'password',
    'codes-on',
    'codes-off',
    'printed-code',
    'codes-asked',
    'codes-left',
    'key-made',
    'key-ended',
    'passkey-made',
    'passkey-ended',
  ],
  people: ['joined', 'sent-away', 'role', 'invited', 'invitation-back'],
  house: ['made', 'changed', 'ended'],
} as const satisfies Record<string, readonly DoorEvent[]>
export type HappenedGroup = keyof typeof happenedGroups

/** What is made, changed and ended in a house, and told; by its table. */
export const houseThings = ['studio', 'channel', 'product', 'person', 'plan', 'calendar_feed', 'client_link', 'client'] as const
export type HouseThing = (typeof houseThings)[number]
/** By column: what it was, and what it is. */
export type ChangedFacts = Readonly<Record<string, readonly [unknown, unknown]>>
