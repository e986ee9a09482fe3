'use client'
/** Who tried to come in as oneself and did not. */
import { useHouse } from '@/ui/form/house'
import { useNow } from '@/ui/time/now'
import { loggedWords } from '@/words/time'

export function FailedTries({ failed }: { failed: readonly { address: string; count: number; at: string }[] }) {
  const house = useHouse()
  const nowMs = useNow()
  return (
    <div className="mt-3 max-w-prose border-l-4 border-late pl-4">
      <p className="text-lg font-semibold">Somebody tried to come in as you and did not, within the last week:</p>
      <ul>
        {failed.map(({ address, count, at }) => (
          <li key={address}>
            {count === 1 ? 'once' : `${count} times`} from {address}, last {loggedWords(at, house, nowMs)}
          </li>
        ))}
      </ul>
      <p>If that was not you, choose another password, and ask for a code from an app as well.</p>
    </div>
  )
}
