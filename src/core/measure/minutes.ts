/** Minutes as they are typed. Pure. */

/** Minutes from "35", "35 min", "1 h 20", "1:20"; null for none of these or more than a day. */
export function parseMinutes(text: string): number | null {
  const bare = text.trim().toLowerCase()
  const match = /^(?:(\d+)\s*(?:h|:)\s*)?(\d+)?\s*(?:m|min|minutes)?$/.exec(bare)
  if (!match || bare === '' || (match[1] === undefined && match[2] === undefined)) return null
  const minutes = Number(match[1] ?? 0) * 60 + Number(match[2] ?? 0)
  return minutes <= 1440 ? minutes : null
}
