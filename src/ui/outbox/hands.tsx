'use client'
/** Whose hands are at this device: who is signed in, unless somebody else was chosen here; written beside every entry. */
import { createContext, type ReactNode, useContext, useMemo } from 'react'
import type { Person } from '@/core/house/studio'
import type { PersonId } from '@/core/measure/named'
import { useStored } from '@/ui/form/useStored'

interface Hands {
  people: readonly Person[]
  personId: PersonId | null
  choose: (personId: PersonId | null) => void
}
const HandsContext = createContext<Hands>({ people: [], personId: null, choose: () => undefined })
export const useHands = (): Hands => useContext(HandsContext)

interface Props {
  people: readonly Person[]
  /** who is signed in */
  own: PersonId | null
  children: ReactNode
}

export function HandsProvider({ people, own, children }: Props) {
  const [chosen, choose] = useStored(`itinerum.hands.${own ?? ''}`)
  const personId = people.some(({ id }) => id === chosen) ? chosen : own
  const hands = useMemo<Hands>(() => ({ people, personId, choose }), [people, personId, choose])
  return <HandsContext value={hands}>{children}</HandsContext>
}

/** Who is at the bench; nothing to choose where there is one painter. */
export function HandsChoice() {
  const { people, personId, choose } = useHands()
  if (people.length < 2) return null
  return (
    <label className="tap gap-2 font-normal">
      <span className="text-soft">Hands</span>
      <select
        className="field w-auto py-1 font-semibold"
        value={personId ?? ''}
        onChange={(event) => choose(event.target.value || null)}
      >
        <option value="">not named</option>
        {people.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </select>
    </label>
  )
}
