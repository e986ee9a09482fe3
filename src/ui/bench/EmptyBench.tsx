/** A bench on which nothing is to be done: what brings work there. */
import { Link } from '@/ui/frame/Link'

export function EmptyBench({ pieces }: { pieces: number }) {
  return (
    <section className="py-14">
      <h1 className="title text-5xl">The bench is clear</h1>
      <p className="mt-4 max-w-prose text-xl">
        {pieces === 0
          ? 'Take a first piece in: where it came from, what it cost, what it measures.'
          : 'Choose a finish for a piece, and its steps come here in the order worth doing.'}
      </p>
      <Link href={pieces === 0 ? '/pieces/new' : '/pieces'} className="press press-now mt-6 min-h-16 px-8 text-xl">
        {pieces === 0 ? 'Take a piece in' : 'To the pieces'}
      </Link>
    </section>
  )
}
