/** What is used of spectral.js, which tells no types of its own. */
declare module 'spectral.js' {
  export class Color {
    /** a value, or how much it reflects at each of 38 wavelengths */
    constructor(value: string | readonly number[])
    toString(options?: { format?: 'hex' | 'rgb'; method?: 'map' | 'clip' }): string
    /** absorption over scattering, by wavelength */
    readonly KS: readonly number[]
    readonly luminance: number
    readonly XYZ: readonly [number, number, number]
  }
  export function mix(...parts: [Color, number][]): Color
}
