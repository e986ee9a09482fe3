/** When people work: minutes of the day, and days of the week (0 Sunday to 6 Saturday). A night's end is counted on: six in the morning is 1800. Pure. */
export interface WorkingHours {
  from: number
  to: number
  days: readonly number[]
}
/** Nine to five, Monday to Friday: what a new house begins with. */
export const usualHours: WorkingHours = { from: 9 * 60, to: 17 * 60, days: [1, 2, 3, 4, 5] }

const dayMinutes = 1440
/** Longer than this over midnight the two times were mistaken for each other. */
const longestNight = 14 * 60

/** Two times on the wall as one stretch: an end before its beginning is on the next morning. Null where it is shorter than `shortest`, or no night is so long. */
export function stretchOf(from: number, to: number, shortest: number): { from: number; to: number } | null {
  if (to - from >= shortest) return { from, to }
  const over = { from, to: to + dayMinutes }
  return to < from && over.to - from <= longestNight ? over : null
}
/** The minute at which one day's work is told from the next's: midnight, or where work goes on over it the middle of the time off. */
export const dayBegins = ({ from, to }: Pick<WorkingHours, 'from' | 'to'>): number =>
  to <= dayMinutes ? 0 : Math.floor((to - dayMinutes + from) / 2)
/** A longer end of a day's hours: not round the clock. */
export const stayLonger = ({ from, to }: Pick<WorkingHours, 'from' | 'to'>, minutes: number): { from: number; to: number } => ({
  from,
  to: Math.min(to <= dayMinutes ? dayMinutes : from + longestNight, to + minutes),
})
