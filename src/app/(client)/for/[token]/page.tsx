/** A client's piece, as the studio chose to show it: on a phone first, in the client's language, printed like a letter. */
import { headers } from 'next/headers'
import { notFound } from 'next/navigation'
import type { Deal } from '@/app/_server/clientDeal'
import { noteNothingOpened } from '@/app/_server/clientDoor'
import { openClientPage } from '@/app/_server/clientPage'
import { hasPaymentService } from '@/app/_server/paymentService'
import { referenceAir } from '@/core/drying/air'
import type { Studio } from '@/core/house/studio'
import { readyOf, stagesOf } from '@/core/piece/clientView'
import type { MadeQuote } from '@/core/price/offer'
import { senderOf } from '@/origin'
import { ClientAgreed } from '@/ui/client/ClientAgreed'
import { ClientLayers } from '@/ui/client/ClientLayers'
import { ClientOffer, type OfferWords } from '@/ui/client/ClientOffer'
import { ClientPhotos } from '@/ui/client/ClientPhotos'
import { ClientRecord } from '@/ui/client/ClientRecord'
import { ClientTalk } from '@/ui/client/ClientTalk'
import { ClientWay } from '@/ui/client/ClientWay'
import { NoteOpened } from '@/ui/client/NoteOpened'
import { PrintButton } from '@/ui/piece/PrintButton'
import { clientDate, clientDay, type ClientWords, clientWords } from '@/words/client'
import { termsOf } from '@/words/offer'

type Params = { params: Promise<{ token: string }> }

export async function generateMetadata({ params }: Params) {
  const opened = await openClientPage((await params).token)
  return { title: opened?.view.journey.file.piece.name ?? '', robots: { index: false, follow: false } }
}

export default async function ClientPage({ params }: Params) {
  const { token } = await params
  const opened = await openClientPage(token)
  if (!opened) {
    await noteNothingOpened(senderOf(await headers()))
    return notFound()
  }
  const { view, until, page, words: said, deal } = opened
  const { studio, journey, nowMs, air, around } = view
  const { piece, photos } = journey.file
  const words = clientWords[page.language]
  const shows = (what: (typeof page.shows)[number]) => page.shows.includes(what)
  const reckonedIn = { nowMs, zone: studio.zone, hours: studio.hours, air: air ?? referenceAir, learned: around.learned ?? {} }
  const ready = readyOf(journey, reckonedIn)
  const stages = stagesOf(journey)
  const now = stages.find(({ state }) => state === 'now')
  // what lies within reach of the link is what was chosen
  const shown = shows('photographs') ? photos : []
  const newest = shown.at(-1)
  const isDone = ready.is === 'ready' || journey.ending !== null
  const hasWay = shows('next') || shows('ready')
  return (
    <main id="main" lang={page.language} className="mx-auto max-w-[64rem] px-5 pb-16 sm:px-8">
      <NoteOpened token={token} />
      <header className="pt-8 sm:pt-12">
        <p className="eyebrow">{studio.name}</p>
        <h1 className="title mt-2 text-5xl sm:text-7xl">{piece.name}</h1>
        {piece.client && <p className="mt-1 font-serif text-xl italic text-soft">{words.forWhom(piece.client)}</p>}
        <p className="mt-4 font-serif text-2xl">
          {isDone ? words.doing.ready : words.doing[shows('next') && now && journey.stage !== 'just-in' ? now.stage : 'none']}
        </p>
      </header>
      <ClientDeal {...{ words, token, deal, studio }} />
      <div className="mt-8 grid grid-cols-1 gap-x-16 gap-y-12 lg:grid-cols-2">
        {newest && (
          <figure>
            {/* the newest of those that were chosen */}
            {/* eslint-disable-next-line @next/next/no-img-element */}
            <img
              src={`/for/${token}/photo/${newest.id}?size=large`}
              alt={newest.alt || piece.name}
              width={newest.width}
              height={newest.height}
              className="h-auto w-full rounded-sm"
            />
            <figcaption className="mt-1 text-soft">{clientDate(newest.takenAt, words, studio)}</figcaption>
          </figure>
        )}
        {hasWay && (
          <ClientWay
            words={words}
            stages={shows('next') ? stages : []}
            ready={shows('ready') ? ready : null}
            isLeft={journey.ending !== null}
          />
        )}
        {shows('section') && <ClientLayers words={words} parts={journey.parts} />}
        {shown.length > 1 && <ClientPhotos words={words} photos={shown.slice(0, -1)} token={token} zone={studio.zone} />}
        {shows('record') && isDone && <ClientRecord words={words} journey={journey} zone={studio.zone} />}
        {shows('talk') && (
          <ClientTalk
            words={{ ...talkWords(words), studio: studio.name }}
            token={token}
            said={said.map(({ id, at, personId, words: text }) => ({
              id,
              at: clientDate(at, words, studio),
              isClient: personId === null,
              text,
            }))}
          />
        )}
      </div>
      <footer className="mt-14 flex flex-wrap items-center justify-between gap-4 border-t border-line pt-4 text-soft">
        <p className="max-w-prose">{words.kept(clientDate(until, words, studio))}</p>
        <span className="flex gap-3">
          {shows('record') && isDone && (
            <a href={`/for/${token}/paper`} className="press unprinted">
              {words.papers.paper} (PDF)
            </a>
          )}
          <PrintButton words={words.print} isAside />
        </span>
      </footer>
    </main>
  )
}

/** What is written on the device goes to it as plain text, without what makes sentences. */
const talkWords = ({ talk, talkHint, you, ask, send, sending, sent, notSent, empty, tooMuch }: (typeof clientWords)['en']) => ({
  ...{ talk, talkHint, you, ask, send, sending, sent, notSent, empty, tooMuch },
})

/** What is offered, agreed and due: first of all, where there is anything of it. */
function ClientDeal({
  words,
  token,
  deal: { quotes, agreed, receipts },
  studio,
}: {
  words: ClientWords
  token: string
  deal: Deal
  studio: Studio
}) {
  const open = quotes.find(({ id }) => id === agreed.open)
  const ranOut = quotes.findLast(({ answer, withdrawnAt }) => answer === null && withdrawnAt === null)
  const isAnswered = quotes.some(({ answer }) => answer !== null)
  if (!open && !ranOut && !isAnswered && receipts.length === 0) return null
  return (
    <div className="mt-8 grid grid-cols-1 gap-y-10">
      {open ? (
        <ClientOffer
          key={open.digest}
          {...{ token, locale: words.locale, quote: { id: open.id, digest: open.digest, offer: open.offer } }}
          words={offerWords(words, open)}
        />
      ) : (
        ranOut && <p className="text-lg font-semibold">{words.deal.ranOut(clientDay(ranOut.validUntil, words))}</p>
      )}
      {(isAnswered || receipts.length > 0) && (
        <ClientAgreed
          {...{ words, studio, token, quotes, agreed, receipts }}
          currency={studio.currency}
          canPay={hasPaymentService()}
        />
      )}
    </div>
  )
}
function offerWords(words: ClientWords, { kind, offer }: MadeQuote): OfferWords {
  const { deal, notSent } = words
  const { each, asPlanned, excluded, total, less, deposit, name, accept, decline, accepting, choose, nameMissing, over } = deal
  return {
    ...{ each, asPlanned, excluded, total, less, deposit, name, accept, decline, accepting, choose, nameMissing, over, notSent },
    title: kind === 'quote' ? deal.offer : deal.change,
    terms: termsOf(offer, words),
  }
}
