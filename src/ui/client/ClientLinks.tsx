'use client'
/** Links that lead to a client's page: made here, shown once, counted, taken back by a tap. */
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { linkDays } from '@/core/house/clientPage'
import { freshSecret } from '@/ui/door/ask'
import { GivenLink } from '@/ui/door/GivenLink'
import { useActions } from '@/ui/form/actions'
import { ChoiceField, Trouble } from '@/ui/form/Field'
import { useHouse } from '@/ui/form/house'
import { useTapGuard } from '@/ui/form/useTapGuard'
import { useWrite } from '@/ui/form/useWrite'
import { useNow } from '@/ui/time/now'
import { loggedWords, momentWords } from '@/words/time'

export interface ClientLink {
  id: string
  expiresAt: string
  opened: number
  openedAt: string | null
}
const dayWords: Record<(typeof linkDays)[number], string> = { 14: 'two weeks', 30: 'a month', 90: 'three months', 365: 'a year' }

interface Props {
  pieceId: string
  links: readonly ClientLink[]
  /** how others call this server; null: nobody but this machine comes to it */
  host: string | null
  /** it can be reached from beyond the workshop */
  isOutside: boolean
  /** letters can be sent */
  hasMail: boolean
  /** keeps what the page shows; whether that is stored */
  keep: () => Promise<boolean>
}
export function ClientLinks({ pieceId, links, host, isOutside, hasMail, keep }: Props) {
  const { makeClientLink, takeBackClientLink } = useActions()
  const router = useRouter()
  const house = useHouse()
  const nowMs = useNow()
  const make = useWrite(makeClientLink)
  const back = useWrite(takeBackClientLink)
  const [days, setDays] = useState('90')
  const [made, setMade] = useState<{ id: string; address: string } | null>(null)
  const { guard, stir } = useTapGuard()
  const begin = async () => {
    stir()
    if (!(await keep())) return
    const [id, token] = [uuidv7(), freshSecret()]
    if (!(await make.send({ id, pieceId, token, days: Number(days) }))) return
    setMade({ id, address: `${host ? `https://${host}` : location.origin}/for/${token}` })
    router.refresh()
  }
  const end = async (id: string) => {
    if (!(await back.send({ entryId: uuidv7(), id, at: new Date().toISOString() }))) return
    // the next line comes to stand under the finger
    stir()
    if (made?.id === id) setMade(null)
    router.refresh()
  }
  return (
    <section aria-labelledby="links" className="border-t-2 border-ink pt-4">
      <h2 id="links" className="title text-3xl">
        The link
      </h2>
      {made && (
        <GivenLink
          words="Send this address to the client. It is shown this once; whoever has it sees the page."
          address={made.address}
          mark="client-link"
          hasMail={hasMail}
          isOpen
        />
      )}
      {!isOutside && (
        <p className="mt-2 max-w-prose text-soft">
          {host ? 'It opens within the workshop’s network.' : 'It opens on this machine.'} For a client at home a proxy with a
          name of its own stands before the studio: <code>ITINERUM_ORIGIN</code>.
        </p>
      )}
      <ul className="mt-2">
        {links.map(({ id, expiresAt, opened, openedAt }) => (
          <li key={id} className="flex min-h-14 flex-wrap items-center justify-between gap-x-6 border-b border-line py-1">
            <span>
              Open until {momentWords(expiresAt, house, nowMs)}
              <span className="block text-soft">
                {openedAt === null ? 'not opened yet' : `opened ${times(opened)}, last ${loggedWords(openedAt, house, nowMs)}`}
              </span>
            </span>
            <button type="button" className="press" disabled={back.pending} {...guard(() => void end(id))}>
              Take it back
            </button>
          </li>
        ))}
      </ul>
      <div className="mt-4 flex flex-wrap items-end gap-4">
        <ChoiceField
          label="Good for"
          value={days}
          onChange={(event) => setDays(event.target.value)}
          options={linkDays.map((each) => [String(each), dayWords[each]])}
        />
        <button type="button" className="press press-now min-h-12" disabled={make.pending} {...guard(() => void begin())}>
          Make a link
        </button>
      </div>
      <Trouble>{make.issue ?? back.issue}</Trouble>
    </section>
  )
}
const times = (count: number) => (count === 1 ? 'once' : count === 2 ? 'twice' : `${count} times`)
