/** What a page of ours sends with an action: one JSON list of plain values. Anything else is stopped at the door. */

/** the longest plan with its steps is a tenth of this */
export const mostActionBytes = 200_000

/** The framework's own signs in a text begin with this; a text that begins with it is sent with two. */
const sign = /^\$(?!\$|undefined$|NaN$|-?Infinity$|-0$)/

const isPlain = (value: unknown, depth: number): boolean => {
  if (typeof value === 'string') return !sign.test(value)
  if (typeof value !== 'object' || value === null) return true
  return depth > 0 && Object.entries(value).every(([key, each]) => key !== '__proto__' && isPlain(each, depth - 1))
}

/** Whether a body can be read as an action's arguments. */
export function isActionBody(text: string): boolean {
  try {
    const args: unknown = JSON.parse(text)
    return Array.isArray(args) && isPlain(args, 12)
  } catch {
    return false
  }
}

/** Whether a path's escapes can be read. */
export function isReadablePath(path: string): boolean {
  try {
    decodeURIComponent(path)
    return true
  } catch {
    return false
  }
}

/** What the framework's pages say of where they stand: its own list, [segment, {slot: list}, …], escaped. */
export function isRouterTree(text: string): boolean {
  const isTree = (tree: unknown, depth: number): boolean => {
    if (!Array.isArray(tree) || depth === 0) return false
    const [segment, slots] = tree as unknown[]
    const named = typeof segment === 'string' || (Array.isArray(segment) && segment.length >= 3)
    return (
      named &&
      typeof slots === 'object' &&
      slots !== null &&
      !Array.isArray(slots) &&
      Object.values(slots).every((each) => isTree(each, depth - 1))
    )
  }
  try {
    return isTree(JSON.parse(decodeURIComponent(text)), 20)
  } catch {
    return false
  }
}
