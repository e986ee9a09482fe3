import { cookies } from 'next/headers'
import type { ReactNode } from 'react'
import * as bench from '@/app/_actions/bench'
import * as client from '@/app/_actions/client'
import * as correct from '@/app/_actions/correct'
import * as doors from '@/app/_actions/doors'
import * as houseActions from '@/app/_actions/house'
import * as job from '@/app/_actions/job'
import * as leaving from '@/app/_actions/leaving'
import * as parts from '@/app/_actions/parts'
import * as piece from '@/app/_actions/piece'
import * as quote from '@/app/_actions/quote'
import * as rest from '@/app/_actions/rest'
import * as week from '@/app/_actions/week'
import { whoIsIn } from '@/app/_server/door'
import { loadHouse } from '@/app/_server/session'
import { themeOf } from '@/app/theme'
import { ActionsProvider } from '@/ui/form/actions'
import { HouseProvider } from '@/ui/form/house'
import { MayProvider } from '@/ui/form/may'
import { NoticeProvider } from '@/ui/form/notices'
import { Keys } from '@/ui/frame/Keys'
import { Link } from '@/ui/frame/Link'
import { Places } from '@/ui/frame/Places'
import { ThemeButton } from '@/ui/frame/ThemeButton'
import { HandsProvider } from '@/ui/outbox/hands'
import { OutboxProvider } from '@/ui/outbox/outbox'
import { OutboxLine } from '@/ui/outbox/OutboxLine'
import { Live } from '@/ui/time/Live'
import { NowProvider } from '@/ui/time/now'

/** Where there is work: everything but the door. */
const actions = {
  ...bench,
  ...client,
  ...correct,
  ...doors,
  ...houseActions,
  ...job,
  ...leaving,
  ...parts,
  ...piece,
  ...quote,
  ...rest,
  ...week,
}

export default async function Layout({ children }: { children: ReactNode }) {
  const { studio, people } = await loadHouse()
  const { name, currency, units, zone, locale, hidesMoney } = studio
  const session = await whoIsIn()
  const own = session?.personId ?? null
  // a helper's entries are the helper's own
  const hands = session?.role === 'helper' ? people.filter(({ id }) => id === own) : people
  return (
    <>
      <HouseProvider house={{ currency, units, zone, locale, hidesMoney }}>
        <MayProvider role={session?.role ?? null}>
          <ActionsProvider actions={actions}>
            <NowProvider startMs={startOf()}>
              <HandsProvider people={hands} own={own}>
                <OutboxProvider of={session?.membershipId ?? ''}>
                  <OutboxLine />
                  <Live sinceMs={startOf()} />
                  <Keys />
                  <header className="unprinted mx-auto flex max-w-[78rem] items-center justify-between px-4 pt-2 sm:px-6">
                    <Link href="/" className="flex min-h-12 items-baseline gap-3 no-underline">
                      <span className="title self-center text-2xl">Itinerum</span>
                      <span className="eyebrow hidden self-center md:inline">{name}</span>
                    </Link>
                    <div className="flex items-center">
                      <Places />
                      {session && (
                        <Link href="/house/doors" className="hidden min-h-12 items-center px-3 no-underline sm:inline-flex">
                          {session.personName}
                        </Link>
                      )}
                      <ThemeButton chosen={themeOf(await cookies())} />
                    </div>
                  </header>
                  <NoticeProvider>
                    <main id="main" className="mx-auto max-w-[78rem] px-4 sm:px-6">
                      {children}
                    </main>
                  </NoticeProvider>
                </OutboxProvider>
              </HandsProvider>
            </NowProvider>
          </ActionsProvider>
        </MayProvider>
      </HouseProvider>
    </>
  )
}

const startOf = () => Date.now()
