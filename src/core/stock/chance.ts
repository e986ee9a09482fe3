/** How sure it is to be that there is enough: in so many of such jobs. */
export const chances = { half: 0.5, most: 0.8, all: 0.95 } as const
export type Chance = keyof typeof chances
export const usualChance: Chance = 'most'
