'use client'
import { useRouter } from 'next/navigation'
import { startTransition, useCallback } from 'react'
import { useComeBack } from '@/ui/time/useComeBack'

export default function ErrorPage({ reset }: { error: Error; reset: () => void }) {
  const router = useRouter()
  const again = useCallback(
    () =>
      startTransition(() => {
        router.refresh()
        reset()
      }),
    [router, reset],
  )
  useComeBack(again)
  return (
    <section className="py-16">
      <h1 className="title text-4xl">This page can’t be shown just now</h1>
      <p className="mt-4 max-w-prose text-lg">
        What was saved before is safe, and it comes back by itself as soon as the records answer. If the database was stopped,
        start it again with ./itinerum start.
      </p>
      <button type="button" onClick={again} className="press press-now mt-6">
        Try again
      </button>
    </section>
  )
}
