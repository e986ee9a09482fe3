/** A card reckoned on the device: the answer at once, and what would change it one after another while hands are still. */
import { useEffect, useMemo, useState } from 'react'
import {
  type Change,
  highestFor,
  type KerbAround,
  type KerbCard,
  type Reckoned,
  reckonKerb,
  strongest,
  whatIfs,
} from '@/core/house/kerb'

export function useReckoned(card: KerbCard, around: KerbAround): { found: Reckoned; changes: Change[] | null } {
  const key = JSON.stringify(card)
  // the same card is another object each time it is read
  // eslint-disable-next-line react-hooks/exhaustive-deps
  const found = useMemo(() => reckonKerb(card, around), [key, around])
  const [told, setTold] = useState<{ key: string; changes: Change[] } | null>(null)
  useEffect(() => {
    if (!found.brings) return
    const asked = whatIfs(JSON.parse(key) as KerbCard, found.brings.price)
    const changes: Change[] = []
    let place = 0
    let timer = setTimeout(function next() {
      const one = asked[place]
      if (!one) return setTold({ key, changes: strongest(found.bid?.highest ?? 0, changes) })
      place += 1
      const highest = highestFor(one.card, around)
      if (highest !== undefined) changes.push({ ...one, highest })
      timer = setTimeout(next, 4)
    }, 250)
    return () => clearTimeout(timer)
  }, [key, found, around])
  return { found, changes: told?.key === key ? told.changes : null }
}
