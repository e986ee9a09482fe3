/** What an abrasive is, read from how painters write it: "150 → 220", "wet, 320", "60–80 on the resist, then 220". Pure. */

export interface Grit {
  /** in the order they are worked; empty where none is named */
  numbers: readonly number[]
  wet: boolean
  /** a sander, not the hand */
  machine: boolean
}

const unsaid: Grit = { numbers: [], wet: false, machine: false }
/** `grit` as written on a step; `applicator` where the tool is written there. */
export function readGrit(grit: string | null | undefined, applicator?: string | null): Grit {
  if (!grit && !applicator) return unsaid
  const text = `${grit ?? ''} ${applicator ?? ''}`.toLowerCase()
  return {
    numbers: [...(grit ?? '').matchAll(/\d{2,4}/g)].map(([number]) => Number(number)),
    wet: /\b(wet|damp)\b/.test(text),
    machine: /sander|machine|power/.test(text),
  }
}
/** The coarsest named; usual grit where none is. */
export const coarsest = ({ numbers }: Grit, usual = 220): number => (numbers.length > 0 ? Math.min(...numbers) : usual)
/** The one worked last. */
export const lastOf = ({ numbers }: Grit, usual = 220): number => numbers.at(-1) ?? usual
