'use client'
export default function GlobalError({ reset }: { error: Error; reset: () => void }) {
  return (
    <html lang="en-GB">
      <body>
        <main style={{ padding: '3rem', fontFamily: 'system-ui' }}>
          <h1>The records can’t be reached just now</h1>
          <p>What was saved before is safe. Start the database again with ./itinerum start, then try again.</p>
          <button type="button" onClick={reset} style={{ minHeight: 48, padding: '0 1.5rem' }}>
            Try again
          </button>
        </main>
      </body>
    </html>
  )
}
