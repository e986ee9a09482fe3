import { Link } from '@/ui/frame/Link'

export default function NotFound() {
  return (
    <section className="py-16" data-nowhere>
      <h1 className="title text-4xl">Nothing stands here</h1>
      <p className="mt-4 text-lg">The address may be old. Look among the pieces.</p>
      <Link href="/pieces" className="press press-now mt-6">
        All pieces
      </Link>
    </section>
  )
}
