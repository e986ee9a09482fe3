/** Whether the window is as narrow as a phone; wide until that is known. */
import { useSyncExternalStore } from 'react'

const narrow = '(max-width: 40rem)'
const subscribe = (tell: () => void) => {
  const query = window.matchMedia(narrow)
  query.addEventListener('change', tell)
  return () => query.removeEventListener('change', tell)
}
export const useNarrow = (): boolean =>
  useSyncExternalStore(
    subscribe,
    () => window.matchMedia(narrow).matches,
    () => false,
  )
