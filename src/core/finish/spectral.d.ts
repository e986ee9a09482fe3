/** What is used of spectral.js, which tells no types of its own. */
declare module 'spectral.js' {
  export class Color {
    constructor(value: string)
    toString(options?: { format?: 'hex' | 'rgb'; method?: 'map' | 'clip' }): string
  }
  export function mix(...parts: [Color, number][]): Color
}
