'use client'
/** Where there is work: the house that its pages stand in, its head and its places. */
import { type ReactNode, use } from 'react'
import type { Role } from '@/core/house/roles'
import type { Person } from '@/core/house/studio'
import type { House } from '@/core/input/fields'
import type { PersonId } from '@/core/measure/named'
import { type Actions, ActionsProvider } from '@/ui/form/actions'
import { HouseProvider } from '@/ui/form/house'
import { MayProvider } from '@/ui/form/may'
import { NoticeProvider } from '@/ui/form/notices'
import { HandsProvider } from '@/ui/outbox/hands'
import { OutboxProvider } from '@/ui/outbox/outbox'
import { OutboxLine } from '@/ui/outbox/OutboxLine'
import { Live } from '@/ui/time/Live'
import { NowProvider } from '@/ui/time/now'
import { Keys } from './Keys'
import { Link } from './Link'
import { Places } from './Places'
import { type Theme, ThemeButton } from './ThemeButton'

/** Whose house it is, and who is in it. */
export interface Within {
  house: House
  name: string
  /** whose hands may be written beside an entry */
  people: readonly Person[]
  who: { personId: PersonId | null; name: string; role: Role; membershipId: string } | null
}
interface Props {
  /** still on its way while the page is made: neither waits for the other */
  within: Promise<Within>
  actions: Actions
  theme: Theme | null
  /** when the server made it */
  startMs: number
  children: ReactNode
}

export function Workshop({ within, actions, theme, startMs, children }: Props) {
  const { house, name, people, who } = use(within)
  return (
    <HouseProvider house={house}>
      <MayProvider role={who?.role ?? null}>
        <ActionsProvider actions={actions}>
          <NowProvider startMs={startMs}>
            <HandsProvider people={people} own={who?.personId ?? null}>
              <OutboxProvider of={who?.membershipId ?? ''}>
                <OutboxLine />
                <Live sinceMs={startMs} />
                <Keys />
                <header className="unprinted mx-auto flex max-w-[78rem] items-center justify-between px-4 pt-2 sm:px-6">
                  <Link href="/" className="flex min-h-12 items-baseline gap-3 no-underline">
                    <span className="title self-center text-2xl">Itinerum</span>
                    <span className="eyebrow hidden self-center md:inline">{name}</span>
                  </Link>
                  <div className="flex items-center">
                    <Places />
                    {who && (
                      <Link href="/house/doors" className="hidden min-h-12 items-center px-3 no-underline sm:inline-flex">
                        {who.name}
                      </Link>
                    )}
                    <ThemeButton chosen={theme} />
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
  )
}
