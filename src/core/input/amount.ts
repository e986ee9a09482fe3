/** Amounts as they are judged at the bench: "80", "80 ml", "1/3 tin", "about a third of the tin". Pure. */

const shares: Record<string, number> = {
  '½': 1 / 2,
  half: 1 / 2,
  '⅓': 1 / 3,
  third: 1 / 3,
  '⅔': 2 / 3,
  '¼': 1 / 4,
  quarter: 1 / 4,
  '¾': 3 / 4,
  tenth: 1 / 10,
  whole: 1,
  all: 1,
}

/** ml or g on whole figures; a share is of `size`. Null where it says nothing that can be measured. */
export function parseAmount(text: string, size: number | null): number | null {
  const said = text.trim().toLowerCase().replace(',', '.')
  const plain = /^(\d+(?:\.\d+)?)\s*(?:ml|g)?$/.exec(said)
  if (plain) return Number(plain[1])
  const fraction = /(\d+)\s*\/\s*(\d+)/.exec(said)
  const times = /\b(two|three)\b/.exec(said)?.[1]
  const word = Object.keys(shares).find((name) => said.includes(name))
  const share = fraction
    ? Number(fraction[1]) / Number(fraction[2])
    : word
      ? (shares[word] ?? 0) * (times === 'two' ? 2 : times === 'three' ? 3 : 1)
      : null
  return share === null || size === null || !(share > 0 && share <= 1) ? null : Math.round(share * size)
}
