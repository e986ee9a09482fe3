/** One entry of the log, to be put right. */
import { notFound } from 'next/navigation'
import { getPieceView, loadProducts } from '@/app/_server/load'
import { Link } from '@/ui/frame/Link'
import { CorrectionForm, StrikeButton } from '@/ui/piece/CorrectionForm'
import { entrySentence } from '@/words/log'
import { entryWords } from '@/words/piece'
import { momentWords } from '@/words/time'

export const metadata = { title: 'Put right' }

export default async function EntryPage({ params }: { params: Promise<{ id: string; entry: string }> }) {
  const { studio, journey, channels, nowMs } = await getPieceView(params)
  const wanted = (await params).entry
  const entry = journey.log.find(({ id }) => id === wanted)
  if (!entry) notFound()
  const products = entry.kind === 'coat' ? await loadProducts() : []
  const { piece } = journey.file
  return (
    <div className="pt-6">
      <p className="text-lg">
        <Link href={`/pieces/${piece.id}`}>{piece.name}</Link>
      </p>
      <h1 className="title text-5xl">Put right: {entryWords[entry.kind].toLowerCase()}</h1>
      <p className="mt-2 text-lg text-soft">
        Now it says: {momentWords(entry.at, studio, nowMs)} {entrySentence(entry, { channels, house: studio })}. It stays in the
        log, struck through.
      </p>
      {entry.kind === 'mixed' ? (
        <div className="mt-5 max-w-md">
          <p className="mb-4">
            Coats name the mix they were taken from. Was it written down wrongly? Strike it out, and mix it anew; what was taken
            from it keeps what it cost.
          </p>
          <StrikeButton entry={entry} />
        </div>
      ) : (
        <CorrectionForm
          entry={entry}
          channels={channels}
          tins={products
            .filter(({ family }) => entry.kind === 'coat' && family === entry.coat.family)
            .map(({ id, name }) => ({ id, name }))}
        />
      )}
    </div>
  )
}
