/** A piece: where it stands, each part's section and way, its photographs, its money, its log. */
import { getPieceAndStock, getPieceView, type PieceView } from '@/app/_server/load'
import { whatMay } from '@/app/_server/may'
import { loadHouse, readStudio } from '@/app/_server/session'
import { chosenWays } from '@/core/house/chosenWay'
import { formatMoney } from '@/core/measure/money'
import type { PartId } from '@/core/measure/named'
import type { Journey } from '@/core/piece/journey'
import { ledgerSoFar } from '@/core/piece/ledger'
import { sources } from '@/core/piece/piece'
import { restsOf } from '@/core/piece/rests'
import { listQuotes, listWaiting } from '@/db/quote'
import { DoneSheetProvider } from '@/ui/bench/DoneSheet'
import type { SnagOn } from '@/ui/bench/SnagForm'
import { Link } from '@/ui/frame/Link'
import { AddPhotos } from '@/ui/photo/AddPhotos'
import { BeforeAfter } from '@/ui/photo/BeforeAfter'
import { PhotoStrip } from '@/ui/photo/PhotoStrip'
import { stripOf } from '@/ui/photo/stripOf'
import { AddToLog } from '@/ui/piece/AddToLog'
import { drawnPiece, snagOnOf } from '@/ui/piece/drawnPiece'
import { LogList } from '@/ui/piece/LogList'
import { PartProgress } from '@/ui/piece/PartProgress'
import { PieceDrawing } from '@/ui/piece/PieceDrawing'
import { PieceLinks, type PieceLinksProps } from '@/ui/piece/PieceLinks'
import { nextWords } from '@/ui/piece/PieceRow'
import { RestList } from '@/ui/piece/RestList'
import { StageLine } from '@/ui/piece/StageLine'
import { isFirst, WholeProgress } from '@/ui/piece/WholeProgress'
import { PlanChosen } from '@/ui/quote/PlanChosen'
import { stageWords } from '@/words/piece'
import { dateWords, dayDateWords, hoursWords } from '@/words/time'

/** the story has the rest */
const lastLines = 8

type Params = { params: Promise<{ id: string }> }

export async function generateMetadata({ params }: Params) {
  return { title: (await getPieceView(params)).journey.file.piece.name }
}

export default async function PiecePage({ params }: Params) {
  const [{ view, stock: shelf, also: waiting }, may, { people }] = await Promise.all([
    getPieceAndStock(params, listWaiting),
    whatMay(),
    loadHouse(),
  ])
  const { studio, journey, channels, air, nowMs } = view
  const { piece, photos } = journey.file
  const asksQuotes = piece.client !== null && journey.ending === null && may('quote') && !studio.hidesMoney
  const quotes = asksQuotes ? await readStudio((client) => listQuotes(client, piece.id)) : []
  const chosen = chosenWays(quotes, journey.parts)
  const stock = { ...shelf, waiting: new Set(waiting.map(({ pieceId }) => pieceId)) }
  const snagOn = new Map(journey.parts.map((part) => [part.part.id, snagOnOf(journey, part)]))
  const wholeProps = { journey, stock, house: studio, nowMs }
  const links = linksOf(view, may)
  const first = photos.find(({ moment }) => moment === 'before')
  const after = photos.findLast(({ moment }) => moment === 'after')
  return (
    <DoneSheetProvider air={air}>
      <Head view={view} links={links} />
      {chosen.length > 0 && <PlanChosen pieceId={piece.id} ways={chosen} />}
      {waiting.length > 0 && (
        <p role="status" className="mb-6 max-w-prose border-l-4 border-late pl-4 text-lg font-semibold">
          A change waits for the client’s yes: leave what it changes alone until then.
          {may('quote') && !studio.hidesMoney && (
            <>
              {' '}
              <Link href={`/pieces/${piece.id}/offer`}>The change</Link>
            </>
          )}
        </p>
      )}
      <div className="grid grid-cols-1 gap-x-12 gap-y-10 lg:grid-cols-[minmax(0,2.1fr)_minmax(0,1fr)] lg:grid-rows-[auto_1fr]">
        <div className="space-y-6 lg:col-start-1 lg:row-span-2 lg:row-start-1">
          {isFirst(journey) && <WholeProgress {...wholeProps} />}
          {journey.parts.map((part) => (
            <PartProgress
              key={part.part.id}
              {...{ journey, part, stock, nowMs }}
              house={studio}
              snagOn={snagOn.get(part.part.id) ?? null}
            />
          ))}
          {!isFirst(journey) && <WholeProgress {...wholeProps} />}
          {/* in the hand what is to be done comes first */}
          <PieceLinks pieceId={piece.id} links={links} className="flex border-t-2 border-ink pt-5 sm:hidden" />
          {journey.file.takenOut.length > 0 && (
            <p className="border-t border-line pt-3 text-soft">
              Taken out:{' '}
              {journey.file.takenOut.map(({ id, name }, k) => (
                <span key={id}>
                  {k > 0 && ', '}
                  <Link href={`/pieces/${piece.id}/part/${id}`}>{name}</Link>
                </span>
              ))}
            </p>
          )}
        </div>
        <AsItStands journey={journey} on={snagOn} />
        <div className="space-y-10">
          <section aria-labelledby="photographs" className="border-t-2 border-ink pt-5">
            <h2 id="photographs" className="title text-3xl">
              Photographs
            </h2>
            {photos.length === 0 && <p className="mt-2 text-soft">None yet. One before the first step is worth most.</p>}
            {first && after && <BeforeAfter before={first.id} after={after.id} width={after.width} height={after.height} />}
            {photos.length > 0 && <PhotoStrip photos={stripOf(journey.file, studio, nowMs)} />}
            <AddPhotos
              pieceId={piece.id}
              name={piece.name}
              parts={journey.file.parts.map(({ id, name }) => ({ id, name }))}
              moment={
                journey.stage === 'just-in' ? 'before' : journey.parts.every(({ finishedAt }) => finishedAt) ? 'after' : 'during'
              }
            />
          </section>
          <RestList pieceId={piece.id} rests={restsOf(journey, stock.batches)} />
          <section aria-labelledby="log" className="border-t-2 border-ink pt-5">
            <h2 id="log" className="title mb-3 text-3xl">
              Log
            </h2>
            <AddToLog pieceId={piece.id} />
            <div className="mt-4" role="group" aria-label="Log entries">
              <LogList journey={journey} channels={channels} people={people} house={studio} nowMs={nowMs} most={lastLines} />
              {journey.log.length > lastLines && (
                <Link href={`/pieces/${piece.id}/story`} className="tap">
                  All {journey.log.length} lines of it
                </Link>
              )}
            </div>
          </section>
        </div>
      </div>
    </DoneSheetProvider>
  )
}

/** The piece itself, as far as it is. */
function AsItStands({ journey, on }: { journey: Journey; on: ReadonlyMap<PartId, SnagOn | null> }) {
  if (journey.parts.length === 0) return null
  const drawn = drawnPiece(journey, on)
  const { alike } = drawn.front
  const isAsked = [...on.values()].some((each) => each !== null)
  return (
    <section aria-labelledby="as-it-stands" className="border-t-2 border-ink pt-5 lg:col-start-2 lg:row-start-1">
      <h2 id="as-it-stands" className="title text-3xl">
        As it stands
      </h2>
      <p className="mb-4 mt-1 text-soft empty:hidden">
        {[alike > 1 && `One of ${alike} alike.`, isAsked && 'Tap it where something is wrong.'].filter(Boolean).join(' ')}
      </p>
      <PieceDrawing {...drawn} words={`${journey.file.piece.name}, from the front`} />
    </section>
  )
}

/** Where else to go with it. */
function linksOf({ studio, journey }: PieceView, may: (what: string) => boolean): PieceLinksProps['links'] {
  const { piece, parts } = journey.file
  const isOpen = journey.ending === null
  const isPainted = ['resting', 'ready', 'listed'].includes(journey.stage)
  const quoted = may('quote') && !studio.hidesMoney && (piece.client !== null || piece.source === 'commission')
  return [
    !studio.hidesMoney && { to: 'money', words: isOpen ? 'Price it' : 'What it earned', isNow: isPainted },
    isOpen && { to: 'way', words: 'Its way' },
    isOpen && { to: 'tag', words: 'Tag (PDF)' },
    { to: 'story', words: 'Its story' },
    { to: 'record', words: 'Its record' },
    quoted && { to: 'offer', words: 'Offer' },
    may('client_word') && { to: 'client', words: 'For the client' },
    may('entry of plan') && { to: 'facts', words: 'Change its facts' },
    may('part') && { to: 'part', words: 'Add a part' },
    may('part') && isOpen && parts.some(({ count }) => count > 1) && { to: 'split', words: 'Split the set' },
  ].filter((link) => link !== false)
}

/** What it is, how far it is, what it has taken. */
function Head({ view: { studio, journey, nowMs }, links }: { view: PieceView } & Pick<PieceLinksProps, 'links'>) {
  const { piece } = journey.file
  const soFar = ledgerSoFar(journey, studio)
  return (
    <header className="pt-6">
      <p className="flex flex-wrap items-center gap-3 text-soft">
        <StageLine stage={journey.stage} /> {stageWords[journey.stage]}
      </p>
      <h1 className="title mt-1 text-5xl sm:text-6xl">{piece.name}</h1>
      <p className="mt-2 text-2xl font-semibold">{nextWords(journey, studio, nowMs)}</p>
      <p className="mt-1 text-soft">
        {[
          `From ${sources[piece.source]}`,
          piece.sourceNote,
          piece.client && `for ${piece.client}`,
          `in since ${dateWords(piece.takenInAt, studio)}`,
          piece.promisedOn && `promised for ${dayDateWords(piece.promisedOn, studio)}`,
        ]
          .filter(Boolean)
          .join(' · ')}
        {piece.condition && ` · ${piece.condition}`}
      </p>
      <div className="my-5 flex flex-wrap items-end gap-x-10 gap-y-4">
        {!studio.hidesMoney && <Figure words="in it so far" figure={formatMoney(soFar.total, studio, { short: true })} />}
        <Figure words="worked" figure={hoursWords(soFar.hours, studio)} />
        <Figure words="still to come" figure={hoursWords(journey.minutesLeft / 60, studio)} />
        <PieceLinks pieceId={piece.id} links={links} className="hidden sm:flex" />
      </div>
    </header>
  )
}

function Figure({ words, figure }: { words: string; figure: string }) {
  return (
    <p>
      <span className="figure block text-4xl">{figure}</span>
      <span className="eyebrow">{words}</span>
    </p>
  )
}
