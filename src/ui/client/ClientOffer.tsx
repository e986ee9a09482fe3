'use client'
/** An offer as its client reads it: chosen from, accepted by name, or declined. What was chosen and typed stays until it got through. */
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { formatMoney } from '@/core/measure/money'
import type { Locale } from '@/core/measure/number'
import { depositOf, type Offer, totalOf } from '@/core/price/offer'
import { OfferLines } from '@/ui/quote/OfferLines'

type Word =
  | 'each'
  | 'asPlanned'
  | 'excluded'
  | 'total'
  | 'less'
  | 'deposit'
  | 'name'
  | 'accept'
  | 'decline'
  | 'accepting'
  | 'choose'
  | 'nameMissing'
  | 'over'
  | 'notSent'
export interface OfferWords extends Record<Word, string> {
  title: string
  /** how long it stands, when it is ready, what tax is in it */
  terms: readonly string[]
}
interface Props {
  words: OfferWords
  token: string
  quote: { id: string; digest: string; offer: Offer }
  locale: Locale
}
export function ClientOffer({ words, token, quote: { id, digest, offer }, locale }: Props) {
  const [chosen, setChosen] = useState<Record<string, string>>({})
  const money = (minor: number) => formatMoney(minor, { currency: offer.currency, locale })
  const total = totalOf(offer, chosen)
  const deposit = depositOf(offer, total)
  return (
    <section aria-labelledby={`offer-${id}`} className="lg:col-span-2">
      <h2 id={`offer-${id}`} className="title border-t-2 border-ink pt-3 text-3xl">
        {words.title}
      </h2>
      {offer.words && <p className="mt-2 max-w-prose whitespace-pre-line font-serif text-lg">{offer.words}</p>}
      <div className="mt-3 max-w-3xl">
        <OfferLines offer={offer} money={money} />
        {offer.options.map((option) => (
          <fieldset key={option.id} className="border-b border-line py-3">
            <legend className="float-left mb-1 w-full text-lg font-semibold">
              {words.each}: {option.words}
            </legend>
            {option.choices.map((choice) => (
              <label key={choice.id} className="flex min-h-12 w-full cursor-pointer items-center gap-4">
                <input
                  type="radio"
                  name={option.id}
                  className="size-6 shrink-0 accent-now"
                  checked={chosen[option.id] === choice.id}
                  onChange={() => setChosen((before) => ({ ...before, [option.id]: choice.id }))}
                />
                <span className="min-w-0 flex-1 [overflow-wrap:anywhere]">{choice.words}</span>
                <span className="shrink-0 text-soft">
                  {choice.extra === 0
                    ? words.asPlanned
                    : choice.extra > 0
                      ? `+ ${money(choice.extra)}`
                      : `${money(-choice.extra)} ${words.less}`}
                </span>
              </label>
            ))}
          </fieldset>
        ))}
        <p className="flex items-baseline justify-between gap-4 pt-3">
          <strong className="text-xl">{words.total}</strong>
          <span className="figure text-5xl text-now" data-figure="total" aria-live="polite">
            {money(total)}
          </span>
        </p>
        {deposit > 0 && (
          <p className="flex items-baseline justify-between gap-4">
            <span>{words.deposit}</span>
            <span className="figure text-2xl" data-figure="deposit">
              {money(deposit)}
            </span>
          </p>
        )}
        {offer.excluded && (
          <p className="mt-4 whitespace-pre-line border-l-4 border-line pl-4">
            <strong>{words.excluded}:</strong> {offer.excluded}
          </p>
        )}
        <p className="mt-3 text-soft">{words.terms.join(' ')}</p>
        <AnswerOffer
          {...{ words, token, quoteId: id, digest, chosen }}
          isWhole={offer.options.every((option) => chosen[option.id])}
        />
      </div>
    </section>
  )
}

interface AnswerProps {
  words: OfferWords
  token: string
  quoteId: string
  digest: string
  chosen: Record<string, string>
  isWhole: boolean
}
function AnswerOffer({ words, token, quoteId, digest, chosen, isWhole }: AnswerProps) {
  const router = useRouter()
  const [name, setName] = useState('')
  const [told, setTold] = useState('')
  const [pending, setPending] = useState(false)
  // the same answer under the same number until it got through
  const [ids] = useState(() => ({ accepted: uuidv7(), declined: uuidv7() }))
  const answer = async (said: 'accepted' | 'declined') => {
    if (pending) return
    if (name.trim() === '') return setTold(words.nameMissing)
    if (said === 'accepted' && !isWhole) return setTold(words.choose)
    setPending(true)
    setTold('')
    const got = await fetch(`/for/${token}/answer`, {
      method: 'POST',
      body: JSON.stringify({ id: ids[said], quoteId, digest, answer: said, name, chosen: said === 'accepted' ? chosen : {} }),
      headers: { 'content-type': 'application/json' },
      signal: AbortSignal.timeout(15_000),
    }).catch(() => null)
    setPending(false)
    if (got?.ok || got?.status === 409) router.refresh()
    if (!got?.ok) setTold(got?.status === 409 ? words.over : words.notSent)
  }
  return (
    <form
      noValidate
      className="unprinted mt-5 max-w-xl"
      onSubmit={(event) => {
        event.preventDefault()
        void answer('accepted')
      }}
    >
      <label className="block font-semibold">
        {words.name}
        <input
          className="field mt-1 text-lg"
          autoComplete="name"
          maxLength={120}
          value={name}
          onChange={(event) => {
            setName(event.target.value)
            setTold('')
          }}
        />
      </label>
      <div className="mt-4 flex flex-wrap items-center gap-4">
        <button type="submit" aria-disabled={pending} className="press press-now min-h-14 px-8 text-lg">
          {pending ? words.accepting : words.accept}
        </button>
        <button type="button" aria-disabled={pending} className="press min-h-14" onClick={() => void answer('declined')}>
          {words.decline}
        </button>
      </div>
      <p role="status" className="mt-3 font-semibold text-late">
        {told}
      </p>
    </form>
  )
}
