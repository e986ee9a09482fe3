/** What happens at the doors, and is told. Pure tables. */

export const doorEvents = [
  'came-in',
  'went-out',
  'signed-out',
  'joined',
  'sent-away',
  'role',
  'password',
  'invited',
  'invitation-back',
  'codes-on',
  'codes-off',
  'printed-code',
] as const
export type DoorEvent = (typeof doorEvents)[number]
