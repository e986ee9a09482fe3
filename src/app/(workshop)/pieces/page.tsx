/** All pieces: those in the workshop, then those that have left, a page at a time. */
import * as z from 'zod'
import { loadPieces } from '@/app/_server/load'
import { whatMay } from '@/app/_server/may'
import { readStudio } from '@/app/_server/session'
import { formatMoney } from '@/core/measure/money'
import type { Journey } from '@/core/piece/journey'
import { ledgerSoFar } from '@/core/piece/ledger'
import { listUnanswered } from '@/db/clientPage'
import { listAnswered, listWaiting } from '@/db/quote'
import { ClientsTell } from '@/ui/client/ClientsTell'
import { Link } from '@/ui/frame/Link'
import { PieceRow } from '@/ui/piece/PieceRow'

export const metadata = { title: 'Pieces' }
const pageSize = 12
const cursor = z.object({
  left: z.enum(['yes', 'no']).transform((said) => said === 'yes'),
  at: z.iso.datetime(),
  id: z.uuid(),
})
const mostSought = 120

export default async function Pieces({ searchParams }: { searchParams: Promise<Record<string, string>> }) {
  const query = await searchParams
  const may = await whatMay()
  const after = cursor.safeParse(query)
  const sought = String(query.q ?? '')
    .trim()
    .slice(0, mostSought)
  const { studio, journeys, nowMs, ended, next } = await loadPieces({
    limit: pageSize,
    sought,
    after: after.success ? after.data : null,
  })
  const rows = (list: readonly Journey[]) =>
    list.map((journey) => (
      <PieceRow
        key={journey.file.piece.id}
        journey={journey}
        house={studio}
        nowMs={nowMs}
        money={studio.hidesMoney ? null : formatMoney(ledgerSoFar(journey, studio).total, studio, { short: true })}
      />
    ))
  const here = rows(journeys)
  const gone = rows(ended)
  // who looks for a piece looks for that
  const tells = may('client_word') && sought === '' && !after.success
  const told = tells
    ? await readStudio(async (client) => ({
        unanswered: await listUnanswered(client),
        answered: studio.hidesMoney ? [] : await listAnswered(client),
        waiting: await listWaiting(client),
      }))
    : { unanswered: [], answered: [], waiting: [] }
  return (
    <div className="pt-6">
      <ClientsTell {...told} studio={studio} nowMs={nowMs} />
      <div className="flex flex-wrap items-end justify-between gap-4">
        <h1 className="title text-5xl">Pieces</h1>
        <form role="search" className="flex w-full flex-wrap gap-3 sm:w-auto sm:flex-1 sm:justify-end">
          <label className="sr-only" htmlFor="q">
            Look for a piece
          </label>
          <input
            id="q"
            name="q"
            type="search"
            placeholder="Look for a piece"
            maxLength={mostSought}
            defaultValue={sought}
            className="field sm:max-w-64"
          />
          {may('bid') && !studio.hidesMoney && (
            <Link href="/kerb" className="press">
              At the kerb
            </Link>
          )}
          {may('part') && (
            <Link href="/pieces/new" className="press press-now">
              Take a piece in
            </Link>
          )}
        </form>
      </div>
      {here.length > 0 && <ul className="mt-4 border-t-2 border-ink">{here}</ul>}
      {here.length + gone.length === 0 && (
        <p className="mt-8 max-w-prose text-xl wrap-anywhere">
          {after.success
            ? 'There are no more.'
            : sought
              ? `No piece answers to “${sought}”.`
              : 'The workshop is empty. The first piece stands here once it is taken in: where it came from, what it cost, what it measures.'}
        </p>
      )}
      {gone.length > 0 && (
        <section aria-labelledby="gone" className="mt-12">
          <h2 id="gone" className="title text-3xl">
            Have left
          </h2>
          <ul className="mt-3 border-t-2 border-ink">{gone}</ul>
        </section>
      )}
      {next && (
        <Link
          href={`/pieces?${new URLSearchParams({ ...(sought && { q: sought }), left: next.left ? 'yes' : 'no', at: next.at, id: next.id }).toString()}`}
          className="press mt-4"
        >
          {next.left ? 'Earlier ones' : 'The next ones'}
        </Link>
      )}
    </div>
  )
}
