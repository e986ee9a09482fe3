/** The house: terms, channels, air. */
import { whatMay } from '@/app/_server/may'
import { loadStudio, readStudio } from '@/app/_server/session'
import { whoIsIn } from '@/app/_server/whoIsIn'
import { homeOf } from '@/core/climate/rooms'
import { listCalendarFeeds } from '@/db/calendarFeed'
import { listLastReadings, listRooms } from '@/db/climate'
import { listChannels, listPeople } from '@/db/studio'
import { findDryingPlaces, listPersonHours } from '@/db/week'
import { AirLine } from '@/ui/bench/AirLine'
import { Link } from '@/ui/frame/Link'
import { CalendarForm } from '@/ui/house/CalendarForm'
import { Channels } from '@/ui/house/Channels'
import { ConsumablesForm } from '@/ui/house/ConsumablesForm'
import { listHouseChoices } from '@/ui/house/houseChoices'
import { HouseForm } from '@/ui/house/HouseForm'
import { MethodForm } from '@/ui/house/MethodForm'
import { DryingPlacesForm, HoursForm, PersonForm } from '@/ui/house/PeopleForms'

export const metadata = { title: 'House' }

const load = () =>
  readStudio(async (client) => ({
    channels: await listChannels(client),
    people: await listPeople(client),
    hours: new Map((await listPersonHours(client)).map((each) => [each.id, each.hours])),
    places: await findDryingPlaces(client),
    feeds: await listCalendarFeeds(client),
    rooms: await listRooms(client),
    readings: await listLastReadings(client),
  }))

export default async function House() {
  const studio = await loadStudio()
  const may = await whatMay()
  const isOwner = (await whoIsIn())?.role === 'owner'
  const { people, hours, places, channels, rooms, readings, feeds } = await load()
  return (
    <div className="space-y-12 pt-6">
      <section>
        <div className="flex flex-wrap items-end justify-between gap-4">
          <h1 className="title text-5xl">The house</h1>
          <Link href="/house/doors" className="press">
            Who comes in, and sign out
          </Link>
        </div>
        {may('studio') && <HouseForm studio={studio} {...listHouseChoices(studio.zone)} />}
      </section>
      {may('person') && (
        <section aria-labelledby="people" className="border-t-2 border-ink pt-4">
          <h2 id="people" className="title text-3xl">
            Who works when
          </h2>
          <p className="mt-1 max-w-prose text-soft">
            The week is planned by it. A day that is other than usual is said on the week’s own page.
          </p>
          {people.map((person) => (
            <HoursForm key={person.id} person={person} own={hours.get(person.id) ?? null} usual={studio.hours} />
          ))}
          <PersonForm />
          <DryingPlacesForm places={places} rooms={rooms} />
        </section>
      )}
      {may('studio') && (
        <section aria-labelledby="method" className="border-t-2 border-ink pt-4">
          <h2 id="method" className="title text-3xl">
            The house method
          </h2>
          <p className="mt-1 max-w-prose text-soft">Where good painters disagree. A part may depart from it at the plan desk.</p>
          <MethodForm method={studio.method} />
        </section>
      )}
      {!studio.hidesMoney && <Channels {...{ channels, studio }} mayAdd={may('channel')} maySay={may('studio')} />}
      {may('studio') && (
        <section aria-labelledby="consumables" className="border-t-2 border-ink pt-4">
          <h2 id="consumables" className="title text-3xl">
            Small things used up
          </h2>
          <p className="mt-1 max-w-prose text-soft">
            Every step counts what it uses up of these into the cost of its piece, at what they cost on that day. A whole packet
            that one piece ate is a cost of its own, written into its log.
          </p>
          <ConsumablesForm prices={studio.consumables} />
        </section>
      )}
      {may('calendar_feed') && (
        <section aria-labelledby="calendar" className="border-t-2 border-ink pt-4">
          <h2 id="calendar" className="title text-3xl">
            Calendar
          </h2>
          <p className="mb-2 max-w-prose text-soft">
            Every window as it opens and closes, with alarms, for any calendar that can read an address. Whoever has the address
            can read it; revoke it and it answers no more.
          </p>
          <CalendarForm feeds={feeds} />
        </section>
      )}
      <section aria-labelledby="air" className="border-t-2 border-ink pt-4">
        <h2 id="air" className="title mb-2 text-3xl">
          Air
        </h2>
        <AirLine air={readings.findLast(({ roomId }) => homeOf(roomId, rooms) === homeOf(null, rooms)) ?? null} rooms={rooms} />
        <p className="mt-2 max-w-prose text-soft">
          Every window runs faster in warm, dry air and slower in cold or damp; below 10 °C water-based coats stand still. A
          reading holds until the next.
        </p>
      </section>
      {isOwner && (
        <section aria-labelledby="along" className="border-t-2 border-ink pt-4">
          <h2 id="along" className="title text-3xl">
            All of it is yours
          </h2>
          <p className="mt-1 max-w-prose text-soft">
            One file holds the whole studio: every row as JSON with its schema, the same as sheets in words and {studio.currency},
            and every photograph. <code>./itinerum import</code> takes it into an empty studio, on this machine or another. It
            holds clients’ names and all your prices: keep it where you keep your books.
          </p>
          <div className="mt-3 flex flex-wrap gap-3">
            <a className="press" href="/api/studio/archive" download>
              Take it all along
            </a>
            <Link className="press" href="/house/api">
              For other programs
            </Link>
          </div>
        </section>
      )}
    </div>
  )
}
