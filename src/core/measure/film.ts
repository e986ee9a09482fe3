/**
 * How thickly a coat is laid, against how its product is meant to be: `thin` and `heavy` depart from that. What it takes of the
 * product's usual amount. Source: the craft's arithmetic.
 */
export const films = { thin: 0.6, normal: 1, heavy: 2 } as const
export type Film = keyof typeof films
