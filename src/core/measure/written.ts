/** Things as JSON text: written down once they go to a device, or into memory, as one piece. */

declare const of: unique symbol
/** The JSON text of a thing. */
export type Written<T> = string & { readonly [of]: T }
export const writeDown = <T>(thing: T): Written<T> => JSON.stringify(thing) as Written<T>
/** Reads back what was written down here. */
export const readBack = <T>(text: Written<T>): T => JSON.parse(text) as T
