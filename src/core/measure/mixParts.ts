/** What a mix is made of, read from how painters write it: "paint : water 2 : 1", "paint with 20 % water". Pure. */

export interface MixPart {
  name: string
  /** by volume */
  parts: number
}

const number = String.raw`\d+(?:[.,]\d+)?`
const ratio = new RegExp(String.raw`^(.+?)\s+(${number}(?:\s*:\s*${number})+)`)
const share = new RegExp(String.raw`^(.+?) with (${number}) ?% (.+?)(?:,|$)`)
const alone = new RegExp(String.raw`^(?:with )?(${number}) ?% (.+?)(?:,|$)`)
const told = new RegExp(String.raw`(${number}) parts? (?:of )?([a-z][a-z -]*?)(?=,| and |$)`, 'gi')
const read = (text: string) => Number(text.replace(',', '.'))

/** The parts in the order they are named; null where none are given: used as it comes, or told by the eye. */
export function parseMix(mix: string): MixPart[] | null {
  const inParts = ratio.exec(mix.trim())
  if (inParts) {
    const names = (inParts[1] ?? '').split(':').map((name) => name.trim())
    const parts = (inParts[2] ?? '').split(':').map((text) => read(text.trim()))
    const whole = names.length === parts.length && names.every(Boolean) && parts.every((each) => each > 0)
    return whole ? names.map((name, k) => ({ name, parts: parts[k] as number })) : null
  }
  const inWords = [...mix.matchAll(told)].map(([, parts = '', name = '']) => ({ name: name.trim(), parts: read(parts) }))
  if (inWords.length > 1) return inWords
  const [, base, percent, other] = share.exec(mix.trim()) ?? ['', 'paint', ...(alone.exec(mix.trim())?.slice(1) ?? [])]
  if (!base || !percent || !other || !(read(percent) > 0)) return null
  return [
    { name: base.trim(), parts: 100 },
    { name: other.trim(), parts: read(percent) },
  ]
}

/** What is left of the summed parts, by what the mix holds: powder fills its own gaps. The first that fits. Source: the craft. */
const yields: readonly { holds: readonly RegExp[]; yield: number }[] = [
  { holds: [/plaster/i], yield: 0.9 },
  { holds: [/(texture|salt|sand).*powder|^salt$|^sand$/i], yield: 0.8 },
  { holds: [/powder/i, /water/i], yield: 0.75 },
  { holds: [/powder/i], yield: 0.8 },
]

export const yieldOf = (parts: readonly Pick<MixPart, 'name'>[]): number =>
  yields.find(({ holds }) => holds.every((what) => parts.some(({ name }) => what.test(name))))?.yield ?? 1
