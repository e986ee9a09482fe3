/** What a mix is made of, read from how painters write it: "paint : water 2 : 1", "paint with 20 % water". Pure. */

export interface MixPart {
  name: string
  /** by volume */
  parts: number
}

const number = String.raw`\d+(?:[.,]\d+)?`
const named = String.raw`[a-z][a-z -]*?`
const end = String.raw`(?=,|;|\+| and | to | in |$)`
const read = (text: string) => Number(text.replace(',', '.'))

/** Numbers as words, and signs that mean the same, before anything is read. */
const spoken: readonly (readonly [RegExp, string])[] = [
  [/\b(?:one|a|an)(?= parts?\b)/gi, '1'],
  ...['one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten'].map(
    (word, k) => [new RegExp(String.raw`\b${word}(?= parts?\b| to )`, 'gi'), String(k + 1)] as const,
  ),
  [/½/g, '0.5'],
  [/\bper ?cent\b/gi, '%'],
  [new RegExp(String.raw`(${number}) ?/ ?(?=${number}\b)`, 'g'), '$1 : '],
  [new RegExp(String.raw`(${number}) to (?=${number}\b)`, 'gi'), '$1 : '],
]
/** What is said as a share of the whole, in parts of the rest and of itself. */
const shares: Record<string, readonly [rest: number, itself: number]> = {
  half: [1, 1],
  'a third': [2, 1],
  'two thirds': [1, 2],
  'a quarter': [3, 1],
  'three quarters': [1, 3],
  'a fifth': [4, 1],
  'a tenth': [9, 1],
}
const inRest = (name: string, [rest, itself]: readonly [number, number]): MixPart[] => [
  { name: 'paint', parts: rest },
  { name, parts: itself },
]

/** Ways of writing a mix, the first that fits; each gives the parts in the order they are named, or null where it is no mix. */
const readings: readonly (readonly [RegExp, (found: RegExpMatchArray, text: string) => MixPart[] | null])[] = [
  [
    new RegExp(String.raw`^([a-z].*?)\s+(${number}(?:\s*:\s*${number})+)`, 'i'),
    ([, names = '', parts = '']) => paired(names.split(names.includes(':') ? ':' : /\bto\b/i), parts.split(':')),
  ],
  [
    new RegExp(String.raw`^(${number}(?:\s*:\s*${number})+)\s+(?:of\s+)?([a-z].*?)(?:,|;|$)`, 'i'),
    ([, parts = '', names = '']) => {
      const given = names.replace(/^with /i, 'paint : ').split(/\s*(?::|\band\b|\bto\b|\bwith\b)\s*/i)
      return paired(given, parts.split(':'))
    },
  ],
  [
    new RegExp(String.raw`(${number}) parts? (?:of )?(${named})${end}`, 'i'),
    (_, text) => {
      const all = [...text.matchAll(new RegExp(String.raw`(${number}) parts? (?:of )?(${named})${end}`, 'gi'))]
      return all.length > 1 ? all.map(([, parts = '', name = '']) => ({ name: name.trim(), parts: read(parts) })) : null
    },
  ],
  [
    /^equal parts (?:of )?(.+?) and (.+?)(?:,|;|$)/i,
    ([, one = '', other = '']) => [
      { name: one.trim(), parts: 1 },
      { name: other.trim(), parts: 1 },
    ],
  ],
  [/\bhalf and half with ([a-z][a-z -]*?)(?:,|;|$)/i, ([, name = '']) => inRest(name.trim(), [1, 1])],
  [
    /^half (?:of )?([a-z][a-z -]*?),? (?:and )?half (?:of )?([a-z][a-z -]*?)(?:,|;|$)/i,
    ([, one = '', other = '']) => [
      { name: one.trim(), parts: 1 },
      { name: other.trim(), parts: 1 },
    ],
  ],
  [
    new RegExp(String.raw`\b(${Object.keys(shares).join('|')}) (?:of )?(water|glaze|clear glaze|paint)\b`, 'i'),
    ([, share = '', name = '']) => {
      const [rest, itself] = shares[share.toLowerCase()] ?? [1, 1]
      return name.toLowerCase() === 'paint' ? inRest('water', [itself, rest]) : inRest(name, [rest, itself])
    },
  ],
  [
    new RegExp(String.raw`^(.+?) with (?:about )?(${number}) ?% (?:of )?(.+?)(?:,|;|$)`, 'i'),
    ([, base = '', percent = '', other = '']) => percents(base, percent, other),
  ],
  [
    new RegExp(String.raw`^(?:with |about )*(${number}) ?% (?:of )?(.+?)(?:,|;|$)`, 'i'),
    ([, percent = '', other = '']) => percents('paint', percent, other),
  ],
  [new RegExp(String.raw`\bwater (${number}) ?%`, 'i'), ([, percent = '']) => percents('paint', percent, 'water')],
]
function paired(names: readonly string[], parts: readonly string[]): MixPart[] | null {
  const mix = names.map((name, k) => ({ name: name.trim(), parts: read((parts[k] ?? '').trim()) }))
  return names.length === parts.length && mix.every(({ name, parts: each }) => name && each > 0) ? mix : null
}
/** Percent are of what is thinned: a litre with 20 % water holds a fifth of a litre of it besides. */
const percents = (base: string, percent: string, other: string): MixPart[] | null =>
  read(percent) > 0
    ? [
        { name: base.trim(), parts: 100 },
        { name: other.trim(), parts: read(percent) },
      ]
    : null

/** As it is written here: names may be any, words of number and measure among them, for a colour is called as its tin is. */
const exact = new RegExp(String.raw`^(.+?) (${number}(?: : ${number})+)$`)

/** The parts in the order they are named; null where none are given: used as it comes, or told by the eye. */
export function parseMix(mix: string): MixPart[] | null {
  const [, names = '', parts = ''] = exact.exec(mix.trim()) ?? []
  const plain = names.includes(' : ') ? paired(names.split(' : '), parts.split(' : ')) : null
  if (plain) return plain
  const text = spoken.reduce((said, [words, sign]) => said.replace(words, sign), mix.trim())
  for (const [written, parts] of readings) {
    const found = written.exec(text)
    const mixed = found && parts(found, text)
    if (mixed) return mixed
  }
  return null
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
