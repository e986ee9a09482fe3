'use client'
/** Something is wrong: what, where, how bad. The likeliest first; the plan grows by what mends it. */
import { useId, useState } from 'react'
import type { StepCard } from '@/core/bench/stepCard'
import type { CheckCode } from '@/core/craft/operations'
import { getRemedy, type RemedyCode } from '@/core/craft/remedies'
import type { Answer } from '@/core/input/issues'
import { type Mark, severities, type SnagSeverity } from '@/core/log/entry'
import type { EntryId, Instant, PhotoId, StepId } from '@/core/measure/named'
import type { Photo } from '@/core/piece/piece'
import { PartDrawing } from '@/ui/drawing/PartDrawing'
import { AreaField, ChoiceField, pairs, Trouble } from '@/ui/form/Field'
import { useMoment } from '@/ui/form/useMoment'
import { useOutbox } from '@/ui/outbox/useOutbox'
import { MarkOnPhoto } from '@/ui/photo/MarkOnPhoto'
import { Picture } from '@/ui/photo/Picture'
import { spotWords } from '@/words/checks'
import { issueWords } from '@/words/issues'
import { mendIds } from './mendIds'

export interface SnagOn extends Pick<
  StepCard,
  'pieceId' | 'pieceName' | 'partId' | 'partName' | 'kind' | 'count' | 'face' | 'likely' | 'mayShow' | 'photos'
> {
  /** the check that found it */
  failed: { entryId: EntryId; stepId: StepId; checkCode: CheckCode } | null
}

interface Props {
  on: SnagOn
  at?: Instant
  /** where it was pointed at already */
  begun?: number | null
  done: () => void
}
export function SnagForm({ on, at, begun = null, done }: Props) {
  const { send } = useOutbox()
  const [ids, setIds] = useState(() => mendIds())
  const [code, setCode] = useState<RemedyCode | ''>('')
  const [severity, setSeverity] = useState<SnagSeverity>('plain')
  const [spot, setSpot] = useState(begun)
  const [mark, setMark] = useState<Mark | null>(null)
  const [note, setNote] = useState('')
  const [answer, setAnswer] = useState<Answer | null>(null)
  const moment = useMoment(ids.entryId)
  const found = code === '' ? null : getRemedy(code)
  const issue = answer && 'issue' in answer ? (answer.fields?.remedy ?? issueWords[answer.issue]) : null

  const save = async () => {
    if (code === '' && note.trim() === '')
      return setAnswer({ issue: 'not-readable', fields: { remedy: 'Choose what is wrong, or write it down.' } })
    const { pieceId, partId, failed } = on
    const when = at ?? moment()
    const typed = { ...ids, pieceId, partId, at: when, remedy: code, severity, spot, mark, failed, note }
    const about = `Snag: ${found?.words ?? 'a note'}, ${on.pieceName}, ${on.partName.toLowerCase()}`
    const got = await send('mendPart', typed, about)
    setAnswer(got)
    if (!('ok' in got)) return
    setCode('')
    setNote('')
    setSpot(null)
    setMark(null)
    setIds(mendIds())
    done()
  }
  return (
    <div className="space-y-4">
      {on.likely.length > 0 && (
        <div className="flex flex-wrap gap-2" role="group" aria-label="Likely">
          {on.likely.map((each) => (
            <button
              key={each}
              type="button"
              className="press aria-pressed:outline-3 aria-pressed:outline-now"
              aria-pressed={code === each}
              onClick={() => setCode(code === each ? '' : each)}
            >
              {getRemedy(each).words}
            </button>
          ))}
        </div>
      )}
      <ChoiceField
        label="What is wrong"
        value={code}
        onChange={(event) => setCode(event.target.value as RemedyCode | '')}
        options={[['', 'Choose, or write it below'], ...on.mayShow.map((each) => [each, getRemedy(each).words] as const)]}
      />
      {found && (
        <p>
          <span className="text-soft">{found.cause}</span> <strong>{found.remedy}</strong>
        </p>
      )}
      <div className="flex flex-wrap gap-x-8 gap-y-4">
        <WhereOn on={on} spot={spot} choose={setSpot} />
        <fieldset className="min-w-48 flex-1">
          <legend className="mb-1 text-sm font-semibold">How bad</legend>
          <div className="flex flex-wrap gap-2">
            {pairs(severities).map(([each, words]) => (
              <button
                key={each}
                type="button"
                aria-pressed={severity === each}
                onClick={() => setSeverity(each)}
                className="press px-3 aria-pressed:outline-3 aria-pressed:outline-now"
              >
                {words}
              </button>
            ))}
          </div>
          <AreaField label="Note" rows={2} value={note} onChange={(event) => setNote(event.target.value)} className="mt-3" />
        </fieldset>
      </div>
      <OnPhoto photos={on.photos} mark={mark} set={setMark} />
      <Trouble>{issue}</Trouble>
      <button type="button" onClick={() => void save()} className="press press-now min-h-14 px-6 text-lg">
        {code === '' ? 'Write it down' : 'Put the mending into the plan'}
      </button>
    </div>
  )
}

/** The part itself, drawn to its proportions: tap where it is. */
function WhereOn({
  on,
  spot,
  choose,
}: {
  on: Pick<SnagOn, 'kind' | 'count' | 'face'>
  spot: number | null
  choose: (spot: number | null) => void
}) {
  const name = useId()
  return (
    <fieldset>
      <legend className="mb-1 text-sm font-semibold">Where on it</legend>
      <div className="relative w-56" style={{ aspectRatio: on.face }}>
        <PartDrawing {...on} className="absolute inset-0 size-full" />
        <div className="absolute inset-0 grid grid-cols-3 grid-rows-3">
          {spotWords.map((words, k) => (
            <label
              key={words}
              className="group relative grid min-h-12 cursor-pointer place-items-center has-focus-visible:outline-3"
            >
              <input
                type="radio"
                name={name}
                checked={spot === k}
                onChange={() => choose(k)}
                className="absolute inset-0 size-full cursor-pointer opacity-0"
                aria-label={words}
              />
              <span
                aria-hidden
                className="size-7 scale-0 rounded-full border-4 border-late bg-late/30 transition-transform group-has-checked:scale-100 motion-reduce:transition-none"
              />
            </label>
          ))}
        </div>
      </div>
    </fieldset>
  )
}

/** Or on a photograph: chosen small, marked large. */
function OnPhoto({ photos, mark, set }: { photos: readonly Photo[]; mark: Mark | null; set: (mark: Mark | null) => void }) {
  const [chosen, setChosen] = useState<string | null>(null)
  const photo = photos.find(({ id }) => id === chosen)
  if (photos.length === 0) return null
  const choose = (id: PhotoId) => {
    setChosen(chosen === id ? null : id)
    set(null)
  }
  return (
    <div>
      <p className="mb-1 text-sm font-semibold">Or on a photograph</p>
      <div className="flex flex-wrap gap-2">
        {photos.map(({ id, alt }) => (
          <button
            key={id}
            type="button"
            aria-pressed={chosen === id}
            aria-label={`On: ${alt}`}
            onClick={() => choose(id)}
            className="aria-pressed:outline-3 aria-pressed:outline-now"
          >
            <Picture photoId={id} size="small" alt="" className="h-14 w-20 rounded-sm object-cover" />
          </button>
        ))}
      </div>
      {photo && (
        <div className="mt-2 max-w-md">
          <MarkOnPhoto photo={photo} mark={mark} set={set} />
          <p className="mt-1 text-sm text-soft">{mark ? 'Marked. Tap elsewhere to move it.' : 'Tap where it is.'}</p>
        </div>
      )}
    </div>
  )
}
