import type { Metadata, Viewport } from 'next'
import { cookies, headers } from 'next/headers'
import type { ReactNode } from 'react'
import * as bench from '@/app/_actions/bench'
import * as correct from '@/app/_actions/correct'
import * as houseActions from '@/app/_actions/house'
import * as job from '@/app/_actions/job'
import * as leaving from '@/app/_actions/leaving'
import * as parts from '@/app/_actions/parts'
import * as piece from '@/app/_actions/piece'
import * as rest from '@/app/_actions/rest'
import * as week from '@/app/_actions/week'
import { loadHouse } from '@/app/_server/session'
import { SectionTextures } from '@/ui/drawing/Section'
import { ActionsProvider } from '@/ui/form/actions'
import { HouseProvider } from '@/ui/form/house'
import { NoticeProvider } from '@/ui/form/notices'
import { Keys } from '@/ui/frame/Keys'
import { Link } from '@/ui/frame/Link'
import { Places } from '@/ui/frame/Places'
import { StyleNonce } from '@/ui/frame/StyleNonce'
import { type Theme, ThemeButton } from '@/ui/frame/ThemeButton'
import { HandsProvider } from '@/ui/outbox/hands'
import { OutboxProvider } from '@/ui/outbox/outbox'
import { OutboxLine } from '@/ui/outbox/OutboxLine'
import { Live } from '@/ui/time/Live'
import { NowProvider } from '@/ui/time/now'
import './globals.css'

export const metadata: Metadata = {
  title: { default: 'Itinerum', template: '%s · Itinerum' },
  description: 'The travelling companion of a furniture painter’s workshop.',
}
export const viewport: Viewport = { width: 'device-width', initialScale: 1, themeColor: '#ece5d7' }
export const dynamic = 'force-dynamic'

const actions = { ...bench, ...correct, ...houseActions, ...job, ...leaving, ...parts, ...piece, ...rest, ...week }

export default async function Layout({ children }: { children: ReactNode }) {
  const { studio, people } = await loadHouse()
  const { name, currency, units, zone, locale } = studio
  const kept = (await cookies()).get('theme')?.value
  const theme: Theme | null = kept === 'light' || kept === 'dark' ? kept : null
  return (
    <html lang="en-GB" data-theme={theme ?? undefined}>
      <body className="pb-20 sm:pb-8">
        <a href="#main" className="sr-only focus:not-sr-only focus:absolute focus:z-30 focus:bg-sheet focus:p-3">
          To the content
        </a>
        <StyleNonce nonce={(await headers()).get('x-nonce')} />
        <SectionTextures />
        <HouseProvider house={{ currency, units, zone, locale }}>
          <ActionsProvider actions={actions}>
            <NowProvider startMs={startOf()}>
              <HandsProvider people={people}>
                <OutboxProvider>
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
        </HouseProvider>
      </body>
    </html>
  )
}

const startOf = () => Date.now()
