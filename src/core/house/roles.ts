/** What people are in a studio, and what each may do there. Pure tables. */

export const roles = ['owner', 'painter', 'bookkeeper', 'helper'] as const
export type Role = (typeof roles)[number]
