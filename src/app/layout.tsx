import type { Metadata, Viewport } from 'next'
import { cookies, headers } from 'next/headers'
import type { ReactNode } from 'react'
import { preload } from 'react-dom'
import { SectionTextures } from '@/ui/drawing/SectionTextures'
import { EarlyTaps } from '@/ui/frame/EarlyTaps'
import { StyleNonce } from '@/ui/frame/StyleNonce'
import { fonts } from './fonts'
import { themeOf } from './theme'
import './globals.css'

export const metadata: Metadata = {
  title: { default: 'Itinerum', template: '%s · Itinerum' },
  description: 'The travelling companion of a furniture painter’s workshop.',
}
export const viewport: Viewport = { width: 'device-width', initialScale: 1, themeColor: '#ece5d7' }
export const dynamic = 'force-dynamic'

export default async function Layout({ children }: { children: ReactNode }) {
  for (const font of fonts) preload(font, { as: 'font', type: 'font/woff2', crossOrigin: 'anonymous' })
  const nonce = (await headers()).get('x-nonce')
  return (
    <html lang="en-GB" data-theme={themeOf(await cookies()) ?? undefined}>
      <body className="pb-20 sm:pb-8">
        <a href="#main" className="sr-only focus:not-sr-only focus:absolute focus:z-30 focus:bg-sheet focus:p-3">
          To the content
        </a>
        <StyleNonce nonce={nonce} />
        <EarlyTaps nonce={nonce} />
        <SectionTextures />
        {children}
      </body>
    </html>
  )
}
