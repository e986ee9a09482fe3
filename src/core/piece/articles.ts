/**
 * Common articles to start a description from: what they measure, how many of what they have, and the parts, faces and counts that
 * follow. Every figure is there to be corrected at the tape.
 */
import type { Article } from './article'
import { casedArticles } from './casedArticles'
import { leggedArticles } from './leggedArticles'

const { chest, bedside, ...otherCased } = casedArticles
/** Those that come in most often first. */
export const articles = { chest, bedside, ...leggedArticles, ...otherCased } as const satisfies Record<string, Article>
export type ArticleCode = keyof typeof articles
export const getArticle = (code: ArticleCode): Article => articles[code]
