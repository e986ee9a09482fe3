/** What stands where somebody came to a page that is not theirs. */
import { Link } from '@/ui/frame/Link'

export const NotYours = ({ what, back, to }: { what: string; back: string; to: string }) => (
  <div className="pt-6">
    <h1 className="title max-w-prose text-5xl">{what} isn’t yours here</h1>
    <p className="mt-3 max-w-prose text-xl text-soft">
      What you are in this studio doesn’t include it. Whoever owns the studio can do it, or make you something else.
    </p>
    <Link href={back} className="press press-now mt-6 inline-flex">
      {to}
    </Link>
  </div>
)
