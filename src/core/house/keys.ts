/** Keys by which other programs come in. Pure tables. */

/** What a key may: read the work, write to it, see money. */
export const keyMay = ['read', 'write', 'money'] as const
export type KeyMay = (typeof keyMay)[number]
/** how long one may be good for */
export const keyDays = [30, 90, 365] as const
