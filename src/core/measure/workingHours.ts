/** When people work: minutes of the day, and days of the week (0 Sunday to 6 Saturday). Pure data. */
export interface WorkingHours {
  from: number
  to: number
  days: readonly number[]
}
/** Nine to five, Monday to Friday: what a new house begins with. */
export const usualHours: WorkingHours = { from: 9 * 60, to: 17 * 60, days: [1, 2, 3, 4, 5] }
