'use client'
/** What kind of article it is, pulled to its size, with how many of what it has; and what is true of all of it. */
import { leadFindings } from '@/core/craft/lead'
import { existingFinishes, polishes, substrates } from '@/core/craft/parts'
import { lengthText, parseLength } from '@/core/measure/length'
import { type ArticleFacts, asks, type Size } from '@/core/piece/article'
import { type ArticleCode, articles, getArticle } from '@/core/piece/articles'
import { CommittedField } from '@/ui/form/CommittedField'
import { ChoiceField, pairs } from '@/ui/form/Field'
import { useHouse } from '@/ui/form/house'
import { Stepper } from '@/ui/form/Stepper'
import { askWords, sizeWords } from '@/words/article'
import { ArticleDrawing } from './ArticleDrawing'
import type { PartText } from './PartFields'

export interface Article {
  code: ArticleCode
  facts: ArticleFacts
}
/** An article that this device remembers; null where it can't be read. */
export function readArticle(kept: string | null): Article | null {
  try {
    const { code, facts } = JSON.parse(kept ?? 'null') as Article
    const { width, depth, height, of } = facts
    const whole = code in articles && [width, depth, height, ...Object.values(of)].every(Number.isFinite)
    return whole ? { code, facts } : null
  } catch {
    return null
  }
}

/** What is said once for every part. */
export type OfAll = Pick<PartText, 'substrate' | 'existing' | 'polish' | 'lead'>

interface Props {
  article: Article | null
  choose: (code: ArticleCode) => void
  change: (facts: ArticleFacts) => void
  /** of the first part: what all are taken for */
  all: OfAll
  setAll: (over: Partial<OfAll>) => void
}
const mostOf = 24

export function ArticleForm({ article, choose, change, all, setAll }: Props) {
  const house = useHouse()
  const unit = house.units === 'metric' ? 'cm' : 'in'
  const said = (mm: number) => `${lengthText(mm, house)} ${unit}`
  return (
    <>
      <div className="mb-4 mt-2 flex flex-wrap gap-2" role="group" aria-label="Begin from an article">
        {pairs(articles).map(([code, words]) => (
          <button
            key={code}
            type="button"
            className="press px-4 aria-pressed:outline-3 aria-pressed:outline-now"
            aria-pressed={article?.code === code}
            onClick={() => choose(code)}
          >
            {words}
          </button>
        ))}
      </div>
      {article && (
        <div className="grid items-center gap-x-10 gap-y-4 border-t border-line py-4 md:grid-cols-2">
          <ArticleDrawing
            words={getArticle(article.code).words}
            front={getArticle(article.code).front(article.facts)}
            size={article.facts}
            said={said}
            set={(over) => change({ ...article.facts, ...over })}
          />
          <div className="space-y-3">
            <div className="grid grid-cols-3 gap-3">
              {(['width', 'depth', 'height'] as const).map((name) => (
                <Measure
                  key={name}
                  label={`${sizeWords[name]}, ${unit}`}
                  mm={article.facts[name]}
                  set={(mm) => change({ ...article.facts, [name]: mm })}
                />
              ))}
            </div>
            {asks
              .filter((ask) => ask in getArticle(article.code).of)
              .map((ask) => (
                <div key={ask} className="flex items-center justify-between gap-4">
                  <span className="text-lg font-semibold">{askWords[ask]}</span>
                  <Stepper
                    words={`${askWords[ask]} of it`}
                    times={article.facts.of[ask] ?? 0}
                    least={ask === 'alike' ? 1 : 0}
                    most={mostOf}
                    small
                    set={(times) => change({ ...article.facts, of: { ...article.facts.of, [ask]: times } })}
                  />
                </div>
              ))}
            <div className="grid grid-cols-2 gap-3">
              <ChoiceField
                label="All of it is"
                value={all.substrate}
                onChange={(event) => setAll({ substrate: event.target.value as OfAll['substrate'] })}
                options={pairs(substrates)}
              />
              <ChoiceField
                label="On all of it now"
                value={all.existing}
                onChange={(event) => setAll({ existing: event.target.value as OfAll['existing'] })}
                options={pairs(existingFinishes)}
              />
              <ChoiceField
                label="Over all of it"
                value={all.polish}
                onChange={(event) => setAll({ polish: event.target.value as OfAll['polish'] })}
                options={pairs(polishes)}
              />
              <ChoiceField
                label="Lead on any of it"
                value={all.lead}
                onChange={(event) => setAll({ lead: event.target.value as OfAll['lead'] })}
                options={pairs(leadFindings)}
              />
            </div>
          </div>
        </div>
      )}
    </>
  )
}

function Measure({ label, mm, set }: { label: string; mm: Size['width']; set: (mm: number) => void }) {
  const house = useHouse()
  return (
    <CommittedField
      label={label}
      trouble={undefined}
      value={lengthText(mm, house)}
      keep={(text) => {
        const read = parseLength(text, house)
        if (read !== null && read >= 10 && read <= 5000) set(Math.round(read))
      }}
    />
  )
}
