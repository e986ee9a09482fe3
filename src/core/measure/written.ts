/**
 * Things as text: written down once they go to a device, or into memory, as one piece. JSON, made shorter: each number by which a thing is
 * known (a UUID) stands once, at the head, fields whose names both sides know stand under one sign, an instant is a number, and its quotes are tildes, for on a
 * page such a text stands within another, and a quote would be two signs there.
 */
import { keptOr, makeKept } from './kept'

declare const of: unique symbol
/**
 * The text of a thing: its UUIDs, 16 bytes each, as one base64, a bar, and its JSON, in which `^k;` is the k-th of them (to base 36), a
 * grave accent and one sign stands for the name of a field and its colon, `@k;` for an instant and its quotes, in ms since 1970 (to base
 * 36), every quote is a tilde, and a tilde, a caret, a grave accent or an at sign of its own is `\u007e`, `\u005e`, `\u0060` or `\u0040`.
 */
export type Written<T> = string & { readonly [of]: T }

const uuid = /[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}/g
/** a quote within a text has a backslash before it: what stands so is the name of a field */
const name = /"([a-zA-Z0-9]+)":/g
/** As `toISOString` says it, from 1970 to 9999. */
const instant = /"((?:19[7-9]|[2-9]\d\d)\d-\d\d-\d\dT\d\d:\d\d:\d\d\.\d{3}Z)"/g
const shortened = /\^([0-9a-z]+);|`(.)|@([0-9a-z]+);/g
const [bytes, base] = [16, 36]
const signs = '0123456789abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ'

/** `names`: of fields that occur often, at most 62, the same when it is read back. Throws a RangeError where there are more. */
export const writeDown = <T>(thing: T, names: readonly string[] = []): Written<T> => shorten<T>(JSON.stringify(thing), names)

/** Writes down what mostly is as it was: what was written last, `most` things, is known by its JSON. */
export function makeWriter<T>(most: number, names: readonly string[] = []): (thing: T) => Written<T> {
  const lately = makeKept<string, Written<T>>(most)
  return (thing) => keptOr(lately, JSON.stringify(thing), (json) => shorten<T>(json, names))
}

function shorten<T>(json: string, names: readonly string[]): Written<T> {
  if (names.length > signs.length) throw new RangeError(`${names.length} names, and there are signs for ${signs.length}`)
  const signOf = new Map(names.map((each, k) => [each, `\`${signs[k]}`]))
  const places = new Map<string, number>()
  const placeOf = (id: string) => {
    const place = places.get(id) ?? places.size
    places.set(id, place)
    return `^${place.toString(base)};`
  }
  const text = json
    .replaceAll('~', '\\u007e')
    .replaceAll('^', '\\u005e')
    .replaceAll('`', '\\u0060')
    .replaceAll('@', '\\u0040')
    .replaceAll(instant, (whole, each: string) => {
      const ms = Date.parse(each)
      // a day that no month has is another one's
      return ms >= 0 && JSON.stringify(new Date(ms)) === whole ? `@${ms.toString(base)};` : whole
    })
    .replaceAll(name, (whole, each: string) => signOf.get(each) ?? whole)
    .replaceAll(uuid, placeOf)
  // a text put together of pieces is put together again wherever it is sent: replaced by a pattern, and joined, it is one piece
  return [packed([...places.keys()]), text.replaceAll(/"/g, '~')].join('|') as Written<T>
}
/** Reads back what was written down here, with the same names. */
export function readBack<T>(text: Written<T>, names: readonly string[] = []): T {
  const head = text.indexOf('|')
  const ids = unpacked(text.slice(0, head))
  const fields = new Map(names.map((each, k) => [signs[k], `"${each}":`]))
  const json = text
    .slice(head + 1)
    .replaceAll(/~/g, '"')
    .replaceAll(shortened, (_, place?: string, sign?: string, ms = '') => {
      if (place !== undefined) return ids[Number.parseInt(place, base)] ?? ''
      if (sign !== undefined) return fields.get(sign) ?? ''
      return JSON.stringify(new Date(Number.parseInt(ms, base)))
    })
  return JSON.parse(json) as T
}
const packed = (ids: readonly string[]): string =>
  btoa(
    ids
      .join('')
      .replaceAll('-', '')
      .replaceAll(/../g, (hex) => String.fromCharCode(Number.parseInt(hex, 16))),
  )
function unpacked(text: string): string[] {
  const hex = [...atob(text)].map((sign) => sign.charCodeAt(0).toString(16).padStart(2, '0')).join('')
  const length = 2 * bytes
  return Array.from({ length: hex.length / length }, (_, k) => dashed(hex.slice(k * length, (k + 1) * length)))
}
const dashed = (hex: string): string =>
  `${hex.slice(0, 8)}-${hex.slice(8, 12)}-${hex.slice(12, 16)}-${hex.slice(16, 20)}-${hex.slice(20)}`
