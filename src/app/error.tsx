'use client'
export default function ErrorPage({ reset }: { error: Error; reset: () => void }) {
  return (
    <section className="py-16">
      <h1 className="title text-4xl">This page can’t be shown just now</h1>
      <p className="mt-4 max-w-prose text-lg">
        What was saved before is safe. If the database was stopped, start it again with ./itinerum start, then try again.
      </p>
      <button type="button" onClick={reset} className="press press-now mt-6">
        Try again
      </button>
    </section>
  )
}
