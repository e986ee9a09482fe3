/** The article that a piece is begun from, kept with the draft of its form; parts, faces and counts follow its drawing. */
import { useMemo } from 'react'
import type { UseFieldArrayReturn, UseFormReturn } from 'react-hook-form'
import type { IntakeText } from '@/core/input/piece'
import type { ArticleFacts, PartTemplate } from '@/core/piece/article'
import { type ArticleCode, getArticle } from '@/core/piece/articles'
import { useHouse } from '@/ui/form/house'
import { useStored } from '@/ui/form/useStored'
import { type Article, type OfAll, readArticle } from './ArticleForm'
import { besideArticle, followArticle } from './followArticle'
import { newPart } from './PartFields'

const key = 'draft:intake:article'
/** Taken in: no draft any more. */
export const forgetArticle = () => localStorage.removeItem(key)
const ofAll = ({ substrate, existing, polish, lead }: OfAll): OfAll => ({ substrate, existing, polish, lead })

export function useArticle(form: UseFormReturn<IntakeText>, parts: UseFieldArrayReturn<IntakeText, 'parts', 'key'>) {
  const house = useHouse()
  const [kept, keep] = useStored(key)
  const article = useMemo(() => readArticle(kept), [kept])
  /** Faces and counts follow the drawing; what was said of a part stays with it. */
  const draw = (next: Article) => {
    const { parts: partsOf, counted } = getArticle(next.code)
    const said = form.getValues('parts')
    const all = article ? said[0] : undefined
    const was = article ? getArticle(article.code).parts(article.facts) : []
    const isSame = article?.code === next.code
    keep(JSON.stringify(next))
    const make = (template: PartTemplate) => ({ ...newPart(template, house), ...(all && ofAll(all)) })
    const drawn = followArticle(said, isSame ? was : [], partsOf(next.facts), make)
    parts.replace(isSame ? drawn : [...drawn, ...besideArticle(said, was)])
    form.setValue('counted', counted(next.facts))
    form.setValue('article', next.code)
  }
  const choose = (code: ArticleCode) => {
    const { size, of, words } = getArticle(code)
    const name = form.getValues('name')
    if (name === '' || (article && name === getArticle(article.code).words)) form.setValue('name', words)
    draw({ code, facts: { ...size, of } })
  }
  const setAll = (over: Partial<OfAll>) => parts.replace(form.getValues('parts').map((part) => ({ ...part, ...over })))
  return { article, choose, setAll, change: (facts: ArticleFacts) => article && draw({ ...article, facts }) }
}
