/** What the client of a piece may see, the links that lead there, and what is said. */
import { getPieceView } from '@/app/_server/load'
import { hasMail } from '@/app/_server/mail'
import { whatMay } from '@/app/_server/may'
import { loadHouse, readStudio } from '@/app/_server/session'
import { whoIsIn } from '@/app/_server/whoIsIn'
import { referenceAir } from '@/core/drying/air'
import { type ClientLanguage, clientLanguages, clientShows, namesIn } from '@/core/house/clientPage'
import { readyOf } from '@/core/piece/clientView'
import { findClientPage, listClientLinks, listClientWords } from '@/db/clientPage'
import { findKnownOfClient } from '@/db/erasure'
import { outwardHost, proxyHost } from '@/origin'
import { AnswerClient } from '@/ui/client/AnswerClient'
import { EraseClient } from '@/ui/client/EraseClient'
import { ShareForm } from '@/ui/client/ShareForm'
import { Link } from '@/ui/frame/Link'
import { NotYours } from '@/ui/frame/NotYours'
import { stripOf } from '@/ui/photo/stripOf'
import { dayDateWords, loggedWords } from '@/words/time'

export const metadata = { title: 'For the client' }

export default async function ClientDesk({ params }: { params: Promise<{ id: string }> }) {
  const { studio, journey, nowMs, air, around } = await getPieceView(params)
  const { piece } = journey.file
  const may = await whatMay()
  if (!may('client_word')) return <NotYours what="The client’s page" back={`/pieces/${piece.id}`} to="To the piece" />
  const isOwner = (await whoIsIn())?.role === 'owner'
  const [{ people }, [page, links, said, known]] = await Promise.all([
    loadHouse(),
    readStudio(
      async (client) =>
        [
          await findClientPage(client, piece.id),
          await listClientLinks(client, piece.id),
          await listClientWords(client, piece.id),
          await findKnownOfClient(client, piece.id),
        ] as const,
    ),
  ])
  const ready = readyOf(journey, {
    ...{ nowMs, zone: studio.zone, hours: studio.hours, air: air ?? referenceAir, learned: around.learned ?? {} },
  })
  const photos = stripOf(journey.file, studio, nowMs)
  const nameOf = (id: string | null) => (id === null ? null : (people.find((each) => each.id === id)?.name ?? studio.name))
  const talk = (
    <section aria-labelledby="said" className="border-t-2 border-ink pt-4">
      <h2 id="said" className="title text-3xl">
        Questions and answers
      </h2>
      {said.length === 0 && (
        <p className="mt-2 text-soft">Nothing was asked yet. What the client asks on their page stands here.</p>
      )}
      <ol className="mt-4 space-y-4">
        {said.map(({ id, at, personId, words }) => (
          <li key={id} className={`border-l-4 pl-4 ${personId === null ? 'border-now' : 'border-line'}`}>
            <p className="text-soft">
              <strong className="text-ink">{nameOf(personId) ?? piece.client ?? 'The client'}</strong> ·{' '}
              {loggedWords(at, studio, nowMs)}
            </p>
            <p className="whitespace-pre-line text-lg [overflow-wrap:anywhere]">{words}</p>
          </li>
        ))}
      </ol>
      <AnswerClient pieceId={piece.id} />
    </section>
  )
  return (
    <div className="pt-6">
      <p className="text-lg">
        <Link href={`/pieces/${piece.id}`}>{piece.name}</Link>
      </p>
      <h1 className="title text-5xl">{piece.client ? `For ${piece.client}` : 'For the client'}</h1>
      {ready.is === 'promised' && ready.earliest !== null && ready.earliest > ready.day && (
        <p className="mt-3 max-w-prose border-l-4 border-late pl-4 text-lg font-semibold">
          It was promised for {dayDateWords(ready.day, studio)}; its steps and their drying end on{' '}
          {dayDateWords(ready.earliest, studio)} at the earliest. The page says both.
        </p>
      )}
      {may('client_page') ? (
        <ShareForm
          pieceId={piece.id}
          kept={page}
          usual={{
            shows: [...clientShows],
            language: clientLanguages.find((each) => studio.locale.startsWith(each)) ?? ('en' satisfies ClientLanguage),
            photoIds: photos.filter(({ moment }) => moment !== 'during').map(({ id }) => id),
          }}
          photos={photos.map(({ id, alt, shows, moment, width, height }) => ({ id, alt, words: shows || moment, width, height }))}
          links={links}
          host={outwardHost()}
          isOutside={proxyHost() !== null}
          hasMail={hasMail()}
          isAsked={said.at(-1)?.personId === null}
        >
          {talk}
        </ShareForm>
      ) : (
        <div className="mt-6 max-w-2xl">{talk}</div>
      )}
      {isOwner && (piece.client !== null || known.asked > 0) && (
        <section aria-labelledby="erase" className="mt-12 max-w-2xl border-t-2 border-ink pt-4">
          <h2 id="erase" className="title text-3xl">
            If they wish to be forgotten
          </h2>
          <p className="mt-1 text-soft">
            What is known of this client is erased here and in every backup made from then on; earlier ones keep it until they are
            thrown away. What was done, used and paid stays, and adds up as before.
          </p>
          <EraseClient pieceId={piece.id} likely={namesIn(piece.client ?? '').join(', ')} known={known} />
        </section>
      )}
    </div>
  )
}
