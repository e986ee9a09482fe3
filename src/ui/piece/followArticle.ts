/** The parts of a form after its article was drawn otherwise: faces and counts follow, what was said of a part stays. Pure. */
import { shapeLengths } from '@/core/measure/surfaceArea'
import type { PartTemplate } from '@/core/piece/article'
import type { PartText } from './PartFields'

/** A part of an article is known by its kind, and which of them it is. */
const keysOf = (templates: readonly PartTemplate[]): string[] =>
  templates.map(({ kind }, k) => `${kind} ${templates.slice(0, k).filter((other) => other.kind === kind).length}`)

/** Which part of the form each part of the article is: by its name, else the next of its kind. */
function matched(said: readonly PartText[], templates: readonly PartTemplate[]): Map<string, PartText> {
  const keys = keysOf(templates)
  const free = new Set(said)
  const found = new Map<string, PartText>()
  const match = (fits: (part: PartText, template: PartTemplate) => boolean) => {
    templates.forEach((template, k) => {
      const key = keys[k] ?? ''
      const part = found.has(key) ? undefined : [...free].find((each) => each.kind === template.kind && fits(each, template))
      if (!part) return
      free.delete(part)
      found.set(key, part)
    })
  }
  match((part, template) => part.name === template.name)
  match(() => true)
  return found
}

/**
 * `before`: the article's parts as it was drawn until now, none where it was another. What was taken off stays off, what was put
 * beside them stays beside them.
 */
export function followArticle(
  said: readonly PartText[],
  before: readonly PartTemplate[],
  after: readonly PartTemplate[],
  make: (template: PartTemplate) => PartText,
): PartText[] {
  const found = matched(said, before)
  const known = new Map(keysOf(before).map((key, k) => [key, before[k]]))
  const own = new Set(found.values())
  const keys = keysOf(after)
  const drawn = after.flatMap((template, k): PartText[] => {
    const key = keys[k] ?? ''
    const part = found.get(key)
    if (!part) return known.has(key) ? [] : [make(template)]
    const { count, surfaces, name } = make(template)
    return [{ ...part, count, surfaces, name: part.name === known.get(key)?.name ? name : part.name }]
  })
  return [...drawn, ...(before.length > 0 ? said.filter((part) => !own.has(part)) : [])]
}

const isMeasured = (surface: PartText['surfaces'][number]) =>
  shapeLengths[surface.shape].some((name) => String((surface as Record<string, unknown>)[name] ?? '').trim() !== '')

/** What was typed beside an article, or before one was chosen, and stays where another is: parts that are none of its, unless they are blank. */
export function besideArticle(said: readonly PartText[], article: readonly PartTemplate[]): PartText[] {
  const own = new Set(matched(said, article).values())
  return said.filter((part) => !own.has(part) && (part.name.trim() !== '' || part.surfaces.some(isMeasured)))
}
