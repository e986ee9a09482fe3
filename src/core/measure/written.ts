/** Things as JSON text: written down once they go to a device, or into memory, as one piece. */

declare const of: unique symbol
/** The JSON text of a thing. */
export type Written<T> = string & { readonly [of]: T }
export const writeDown = <T>(thing: T): Written<T> => JSON.stringify(thing) as Written<T>
/** A list of things that were written down. */
export const writtenList = <T>(things: readonly Written<T>[]): Written<T[]> => `[${things.join(',')}]` as Written<T[]>
/** A thing of which some parts were written down before. */
export function writtenWith<T extends object, P extends object>(
  rest: T,
  parts: { [K in keyof P]: Written<P[K]> },
): Written<T & P> {
  const all = [
    ...Object.entries(rest)
      .filter(([, value]) => value !== undefined)
      .map(([key, value]) => [key, writeDown(value)]),
    ...Object.entries<string>(parts),
  ]
  return `{${all.map(([key, text]) => `${JSON.stringify(key)}:${text}`).join(',')}}` as Written<T & P>
}
/** Reads back what was written down here. */
export const readBack = <T>(text: Written<T>): T => JSON.parse(text) as T
