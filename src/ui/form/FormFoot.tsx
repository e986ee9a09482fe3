/** The foot of a form: what stands in the way, the button, and that it was kept. */
import { Trouble } from './Field'

export function FormFoot({
  issue,
  pending,
  words,
  kept,
  className = '',
}: {
  issue: string | null
  pending: boolean
  words: string
  /** what is said when it is kept; nothing before */
  kept: string | false
  className?: string
}) {
  return (
    <div className={`space-y-3 ${className}`}>
      <Trouble>{issue}</Trouble>
      <button type="submit" disabled={pending} className="press press-now min-h-14 px-8 text-lg">
        {pending ? 'Keeping…' : words}
      </button>
      <span role="status" className="ml-4 font-semibold text-now">
        {kept || ''}
      </span>
    </div>
  )
}
