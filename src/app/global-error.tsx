'use client'
import { useComeBack } from '@/ui/time/useComeBack'

const again = () => window.location.reload()

export default function GlobalError() {
  useComeBack(again)
  return (
    <html lang="en-GB">
      <body>
        <main style={{ padding: '3rem', fontFamily: 'system-ui' }}>
          <h1>The records can’t be reached just now</h1>
          <p>
            What was saved before is safe, and the page comes back by itself. If the database was stopped, start it again with
            ./itinerum start.
          </p>
          <button type="button" onClick={again} style={{ minHeight: 48, padding: '0 1.5rem' }}>
            Try again
          </button>
        </main>
      </body>
    </html>
  )
}
