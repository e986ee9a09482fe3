'use client'
/** The places a layer goes to, how much of them, and the painter's own words for it. */
import { places, type Where } from '@/core/finish/touch'
import { CommittedField } from '@/ui/form/CommittedField'
import { ChoiceField, withOwn } from '@/ui/form/Field'
import { placeWords, saidShare, shareWords } from '@/words/where'

export function WhereFields({
  where,
  trouble,
  keep,
}: {
  where: Where | undefined
  trouble: string | undefined
  keep: (where: Where) => void
}) {
  const togglePlace = (place: (typeof places)[number]) => {
    const now = where?.places ?? places
    const next = places.filter((each) => (each === place ? !now.includes(each) : now.includes(each)))
    if (next.length > 0) keep({ ...where, places: next.length === places.length ? undefined : next })
  }
  return (
    <>
      <fieldset>
        <legend className="mb-1 block text-sm font-semibold">Where</legend>
        <div className="flex flex-wrap gap-2">
          {places.map((place) => (
            <button
              key={place}
              type="button"
              aria-pressed={(where?.places ?? places).includes(place)}
              onClick={() => togglePlace(place)}
              className="press aria-pressed:outline-3 aria-pressed:outline-now"
            >
              {placeWords[place]}
            </button>
          ))}
        </div>
      </fieldset>
      {!where?.pattern && (
        <ChoiceField
          label="How much of it"
          value={String(where?.share ?? 1)}
          onChange={(event) => {
            const share = Number(event.target.value)
            keep({ ...where, share: share === 1 ? undefined : share })
          }}
          options={withOwn(shareWords, String(where?.share ?? 1), saidShare(where?.share ?? 1))}
        />
      )}
      <CommittedField
        label="Where, in your words"
        trouble={trouble}
        value={where?.words ?? ''}
        keep={(words) => keep({ ...where, words: words || undefined })}
      />
    </>
  )
}
