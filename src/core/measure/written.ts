/**
 * Things as text: written down once they go to a device, or into memory, as one piece. JSON, made shorter: each number by which a thing is
 * known (a UUID) stands once, at the head, and its quotes are tildes, for on a page such a text stands within another, and a quote would
 * be two signs there.
 */

declare const of: unique symbol
/**
 * The text of a thing: its UUIDs, 32 signs each, a bar, and its JSON, in which `^k;` is the k-th of them (to base 36), every quote a
 * tilde, and a tilde or a caret of its own `\u007e` or `\u005e`.
 */
export type Written<T> = string & { readonly [of]: T }

const uuid = /[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}/g
const [signs, base] = [32, 36]

export function writeDown<T>(thing: T): Written<T> {
  const places = new Map<string, number>()
  const placeOf = (id: string) => {
    const place = places.get(id) ?? places.size
    places.set(id, place)
    return `^${place.toString(base)};`
  }
  const text = JSON.stringify(thing).replaceAll('~', '\\u007e').replaceAll('^', '\\u005e').replaceAll(uuid, placeOf)
  return `${[...places.keys()].join('').replaceAll('-', '')}|${text.replaceAll('"', '~')}` as Written<T>
}
/** Reads back what was written down here. */
export function readBack<T>(text: Written<T>): T {
  const head = text.indexOf('|')
  const ids = Array.from({ length: head / signs }, (_, k) => dashed(text.slice(k * signs, (k + 1) * signs)))
  const json = text
    .slice(head + 1)
    .replaceAll('~', '"')
    .replaceAll(/\^([0-9a-z]+);/g, (_, place: string) => ids[Number.parseInt(place, base)] ?? '')
  return JSON.parse(json) as T
}
const dashed = (hex: string): string =>
  `${hex.slice(0, 8)}-${hex.slice(8, 12)}-${hex.slice(12, 16)}-${hex.slice(16, 20)}-${hex.slice(20)}`
