/** What was offered for a piece, the newest first, and what was said to it. */
import type { Studio } from '@/core/house/studio'
import { formatMoney } from '@/core/measure/money'
import { type MadeQuote, totalOf } from '@/core/price/offer'
import { dayDateWords, loggedWords } from '@/words/time'
import { AnswerQuote } from './AnswerQuote'
import { OfferLines } from './OfferLines'

interface Props {
  quotes: readonly MadeQuote[]
  studio: Studio
  nowMs: number
  today: string
  nameOf: (personId: string | null) => string | null
  pieceId: string
}
export function MadeQuotes({ quotes, studio, nowMs, today, nameOf, pieceId }: Props) {
  const money = (minor: number) => formatMoney(minor, studio)
  return (
    <ol className="mt-2">
      {quotes.toReversed().map((quote) => {
        const { id, at, kind, validUntil, withdrawnAt, answer, offer } = quote
        const isOpen = answer === null && withdrawnAt === null
        return (
          <li key={id} className={`border-b border-line py-4 ${isOpen || answer ? '' : 'text-soft'}`} data-quote={kind}>
            <p className="flex flex-wrap items-baseline justify-between gap-x-6">
              <strong className="text-lg">{kind === 'quote' ? 'Offer' : 'Change'}</strong>
              <span className="figure text-2xl">{money(answer?.total ?? totalOf(offer, {}))}</span>
            </p>
            <p>
              {answer ? (
                <>
                  <strong className={answer.answer === 'declined' ? 'text-late' : 'text-now'}>
                    {answerWords[answer.answer]}
                  </strong>{' '}
                  {loggedWords(answer.at, studio, nowMs)}
                  {answer.personId === null
                    ? ` by ${answer.name ?? 'the client'}, on their page`
                    : `, written by ${nameOf(answer.personId) ?? studio.name}: ${answer.reason}`}
                </>
              ) : withdrawnAt ? (
                `Withdrawn ${loggedWords(withdrawnAt, studio, nowMs)}`
              ) : validUntil < today ? (
                <strong className="text-late">It ran out on {dayDateWords(validUntil, studio)}</strong>
              ) : (
                <strong className="text-now">Waits for their answer, until {dayDateWords(validUntil, studio)}</strong>
              )}
            </p>
            {answer?.digest && (
              <p className="text-sm text-soft [overflow-wrap:anywhere]">
                Kept to the letter, SHA-256 <code>{answer.digest}</code>{' '}
                <a href={`/api/pieces/${pieceId}/paper?offer=${id}&letter`} className="text-base underline">
                  The file
                </a>
              </p>
            )}
            <a href={`/api/pieces/${pieceId}/paper?offer=${id}`} className="tap underline">
              As PDF
            </a>
            <details className="mt-1">
              <summary className="tap underline">
                {kind === 'quote' ? 'What was offered' : 'What the change is'}, {loggedWords(at, studio, nowMs)}
              </summary>
              <OfferLines offer={offer} money={money} />
              {offer.options.map((option) => (
                <p key={option.id} className="mt-2">
                  {option.words}:{' '}
                  {option.choices.map((choice, k) => {
                    const said =
                      choice.extra === 0 ? choice.words : `${choice.words} (${choice.extra > 0 ? '+' : ''}${money(choice.extra)})`
                    return (
                      <span key={choice.id}>
                        {k > 0 && ' or '}
                        {answer?.chosen?.[option.id] === choice.id ? <strong>{said}, chosen</strong> : said}
                      </span>
                    )
                  })}
                </p>
              ))}
              {offer.excluded && <p className="mt-2">Not in it: {offer.excluded}</p>}
            </details>
            {isOpen && <AnswerQuote {...{ pieceId, quoteId: id, kind }} options={offer.options} />}
          </li>
        )
      })}
    </ol>
  )
}
const answerWords = { accepted: 'Accepted', declined: 'Declined', overridden: 'Goes on without an answer' } as const
