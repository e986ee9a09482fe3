/** What a client may see of their piece. Pure tables. */

/** What a page may show, each chosen by the piece. */
export const clientShows = ['photographs', 'section', 'next', 'ready', 'talk', 'record'] as const
export type ClientShows = (typeof clientShows)[number]

export const clientLanguages = ['en', 'de', 'fr', 'es'] as const
export type ClientLanguage = (typeof clientLanguages)[number]

/** how long a link may be good for */
export const linkDays = [14, 30, 90, 365] as const
export const mostWordLetters = 2_000

/** what many names hold, and is nobody's */
const common = new Set(['the', 'and', 'family', 'household', 'mrs', 'miss', 'for', 'new', 'hall', 'house'])
/** The words of a name by which somebody is known: "The Ferrow household" by "Ferrow". */
export const namesIn = (name: string): string[] =>
  name.split(/[^\p{L}\p{M}'’-]+/u).filter((word) => word.length >= 3 && /^\p{Lu}/u.test(word) && !common.has(word.toLowerCase()))
