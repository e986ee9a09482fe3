'use client'
/** Letters that went, or wait, from this studio: to whom is told so far that one knows it again. */
import { useHouse } from '@/ui/form/house'
import { useNow } from '@/ui/time/now'
import { loggedWords } from '@/words/time'

interface Letter {
  id: string
  about: 'join' | 'new-password' | 'for'
  shownTo: string
  madeAt: string
  tries: number
  sentAt: string | null
  failed: string | null
}
const aboutWords = {
  join: 'The address to come in by',
  'new-password': 'The address to a new password',
  for: 'The address of a client’s page',
}
interface Props {
  letters: readonly Letter[]
  /** where the demo's stand-in shows what came */
  shown: string | null
}
export function Letters({ letters, shown }: Props) {
  const house = useHouse()
  const nowMs = useNow()
  return (
    <section aria-labelledby="letters" className="border-t-2 border-ink pt-4">
      <h2 id="letters" className="title text-3xl">
        Letters
      </h2>
      {shown && (
        <p className="mt-2 text-soft">
          In the demo they go to a mailbox of nobody:{' '}
          <a href={shown} target="_blank" rel="noreferrer" className="underline">
            look what came
          </a>
          .
        </p>
      )}
      {letters.length === 0 && <p className="mt-2 text-soft">None yet. An address that you make can be sent by one.</p>}
      <ul className="mt-2">
        {letters.map(({ id, about, shownTo, madeAt, tries, sentAt, failed }) => (
          <li key={id} className="min-h-14 border-b border-line py-2">
            {aboutWords[about]} to <strong className="inline-block max-w-full [overflow-wrap:anywhere]">{shownTo}</strong>
            <span className={failed ? 'block font-semibold text-stop' : 'block text-soft'}>
              {sentAt
                ? `went ${loggedWords(sentAt, house, nowMs)}`
                : failed
                  ? `never went. ${failed} Give it by hand.`
                  : tries < 2
                    ? `on its way since ${loggedWords(madeAt, house, nowMs)}`
                    : `tried ${tries} times since ${loggedWords(madeAt, house, nowMs)}; it is tried again`}
            </span>
          </li>
        ))}
      </ul>
    </section>
  )
}
