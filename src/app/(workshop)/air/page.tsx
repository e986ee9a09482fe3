/** A week of the workshop's air, room by room, with the windows that stood in it. */
import { readAir, readDrawn } from '@/app/_server/air'
import { loadWorkplace } from '@/app/_server/context'
import { readPieceFiles } from '@/app/_server/pieceFiles'
import { loadStudio, readStudio } from '@/app/_server/session'
import { inForce } from '@/core/climate/airAhead'
import { toColumns } from '@/core/climate/columns'
import { climateIn, climatesOf, homeOf } from '@/core/climate/rooms'
import type { Instant } from '@/core/measure/named'
import { dayOf } from '@/core/measure/time'
import { readPieces } from '@/core/piece/journey'
import { windowsSince } from '@/core/piece/weekWindows'
import { listForecasts } from '@/db/airAhead'
import { listDriedLately, listOpenPieces } from '@/db/piece'
import { AirLine } from '@/ui/bench/AirLine'
import { Forecasts } from '@/ui/climate/Forecasts'
import { RoomForm } from '@/ui/climate/RoomForm'
import { WeekChart } from '@/ui/climate/WeekChart'
import { Link } from '@/ui/frame/Link'
import { stepTitle } from '@/words/craft'
import { momentWords } from '@/words/time'

export const metadata = { title: 'Air' }
const weekMs = 7 * 86_400_000
const hourMs = 3_600_000
/** windows drawn, one below the other; so many are looked for, for those of parts that were taken out are not drawn */
const [mostWindows, mostSought] = [14, 28]
/** what is not believed is told of, the last of it */
const mostDoubted = 8
/** what a window of hours is read by */
const exactMs = 86_400_000
/** a day ahead, so that what is still shut is seen to open */
const aheadMs = 86_400_000

/** The air of the room asked for, else of the first, with the windows that stood in it. */
const loadAir = (asked: string | undefined, nowMs: number) =>
  readStudio(async (client, studioId, beganMs) => {
    const asRead = { studioId, beganMs }
    const since = new Date(nowMs - weekMs).toISOString()
    const [{ studio, rooms, learned }, open] = await Promise.all([loadWorkplace(client), listOpenPieces(client)])
    const room = rooms.find(({ id }) => id === asked) ?? rooms[0] ?? null
    const home = homeOf(room?.id ?? null, rooms)
    const roomIds = home ? [home] : []
    const here = open.flatMap(({ id, roomId }) => (homeOf(roomId, rooms) === home ? [id] : []))
    const exactSince = (span: number) => new Date(nowMs - span).toISOString()
    const [air, readings, forecasts, files] = await Promise.all([
      readAir(client, asRead, { roomIds, since, exactSince: exactSince(exactMs) }),
      readDrawn(client, asRead, { roomIds, unnamed: homeOf(null, rooms) === home, since, exactSince: exactSince(hourMs) }),
      listForecasts(client, dayOf(new Date(nowMs).toISOString(), studio.zone)),
      listDriedLately(client, here, since, mostSought).then((pieces) => readPieceFiles(client, pieces)),
    ])
    const climate = climateIn(climatesOf(air, rooms), room?.id ?? null, rooms)
    const journeys = readPieces(files, { climateOf: () => climate, nowMs, method: studio.method, learned })
    return {
      ...{ rooms, room, readings },
      forecasts: inForce(forecasts),
      last: climate.at(-1) ?? null,
      lines: windowsSince(journeys, { climate, sinceMs: nowMs - weekMs, learned, most: mostWindows }),
    }
  })

export default async function AirPage({ searchParams }: { searchParams: Promise<{ room?: string }> }) {
  const asked = (await searchParams).room
  const nowMs = clock()
  const [studio, { rooms, room, readings, lines, last, forecasts }] = await Promise.all([loadStudio(), loadAir(asked, nowMs)])
  const believed = readings.filter(({ doubt }) => doubt === null)
  const tell = (instant: Instant | null) => (instant ? momentWords(instant, studio, nowMs) : null)
  return (
    <div className="pt-6">
      <h1 className="title text-5xl">Air</h1>
      <p className="mt-1 max-w-prose text-lg text-soft">
        Every window runs faster in warm, dry air and slower in cold or damp; below 10 °C water-based coats stand still.
      </p>
      {rooms.length > 0 && (
        <nav aria-label="Rooms" className="mt-4 flex flex-wrap gap-2">
          {rooms.map(({ id, name }) => (
            <Link
              key={id}
              href={`/air?room=${id}`}
              aria-current={room?.id === id ? 'true' : undefined}
              className={`press ${room?.id === id ? 'press-now' : ''}`}
            >
              {name}
            </Link>
          ))}
        </nav>
      )}
      <div className="mt-4">
        <AirLine key={room?.id} air={last} rooms={room ? [room] : []} week={false} />
      </div>
      <section aria-labelledby="week" className="mt-6 border-t-2 border-ink pt-4">
        <h2 id="week" className="title mb-3 text-3xl">
          {room ? `The week in the ${room.name.toLowerCase()}` : 'The week'}
        </h2>
        {believed.length === 0 ? (
          <p>
            {readings.length === 0
              ? 'Nothing has been read here this week. Write a reading down, or name the room’s sensor.'
              : 'No reading of this week is believed. Look at the sensor, and write a reading down.'}
          </p>
        ) : (
          <WeekChart
            air={toColumns(believed)}
            doubted={readings.filter(({ doubt }) => doubt !== null).slice(-mostDoubted)}
            fromMs={nowMs - weekMs}
            toMs={nowMs + aheadMs}
            lines={lines.map(({ journey, part, step, segments, opens, closes }) => ({
              key: step.id,
              name: `${journey.file.piece.name}, ${part.part.name.toLowerCase()}: ${stepTitle(step).toLowerCase()}`,
              words: [opens ? `opens ${tell(opens)}` : 'stands still', closes && `closes ${tell(closes)}`]
                .filter(Boolean)
                .join(', '),
              segments,
            }))}
          />
        )}
      </section>
      <section aria-labelledby="ahead" className="mt-10 border-t-2 border-ink pt-4">
        <h2 id="ahead" className="title text-3xl">
          The days ahead
        </h2>
        <p className="mt-1 max-w-prose text-soft">
          The week is reckoned in each room’s air as it was at every hour of the last two weeks; where you know better, say so.
        </p>
        <Forecasts forecasts={forecasts} rooms={rooms} today={dayOf(new Date(nowMs).toISOString(), studio.zone)} />
      </section>
      <section aria-labelledby="rooms" className="mt-10 border-t-2 border-ink pt-4">
        <h2 id="rooms" className="title text-3xl">
          Rooms
        </h2>
        <ul className="mt-1">
          {rooms.map(({ id, name, sensor }) => (
            <li key={id} className="flex justify-between gap-4 border-b border-line py-2 text-lg">
              <span className="font-semibold">{name}</span>
              <span className="text-soft">{sensor ? `read by its sensor, “${sensor}”` : 'read by hand'}</span>
            </li>
          ))}
        </ul>
        <RoomForm />
      </section>
    </div>
  )
}

const clock = () => Date.now()
