'use client'
/** Links by which others come in: made here, shown once, taken back by a tap. */
import { useRouter } from 'next/navigation'
import { type SyntheticEvent, useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { type Role, roles } from '@/core/house/roles'
import type { Person } from '@/core/house/studio'
import { useActions } from '@/ui/form/actions'
import { Field, Trouble } from '@/ui/form/Field'
import { useHouse } from '@/ui/form/house'
import { useWrite } from '@/ui/form/useWrite'
import { useNow } from '@/ui/time/now'
import { roleWords } from '@/words/roles'
import { capital } from '@/words/text'
import { momentWords } from '@/words/time'
import { freshSecret } from './ask'
import { GivenLink } from './GivenLink'

interface Invitation {
  id: string
  name: string | null
  role: Role
  expiresAt: string
}
interface Props {
  invitations: readonly Invitation[]
  people: readonly Person[]
  /** letters can be sent */
  hasMail: boolean
}
export function Invitations({ invitations, people, hasMail }: Props) {
  const { invite, takeBackInvitation } = useActions()
  const make = useWrite(invite)
  const back = useWrite(takeBackInvitation)
  const router = useRouter()
  const house = useHouse()
  const nowMs = useNow()
  const [link, setLink] = useState<string | null>(null)
  // what stands in the form is what counts, also where it was chosen before any script had run
  const begin = async (event: SyntheticEvent<HTMLFormElement>) => {
    event.preventDefault()
    const chosen = new FormData(event.currentTarget)
    const text = (name: string) => String(chosen.get(name) ?? '')
    const token = freshSecret()
    if (!(await make.send({ id: uuidv7(), token, role: text('role') as Role, personId: text('personId') }))) return
    setLink(`${location.origin}/join/${token}`)
    router.refresh()
  }
  const end = async (id: string) => {
    if (!(await back.send({ entryId: uuidv7(), id, at: new Date().toISOString() }))) return
    setLink(null)
    router.refresh()
  }
  return (
    <div className="mt-6">
      <h3 className="title text-2xl">Ask somebody in</h3>
      <ul>
        {invitations.map((each) => (
          <li key={each.id} className="flex min-h-14 flex-wrap items-center justify-between gap-x-6 border-b border-line py-1">
            <span className="text-lg">
              {each.name ?? 'Somebody'}, as {roleWords[each.role]}
              <span className="text-soft">, open until {momentWords(each.expiresAt, house, nowMs)}</span>
            </span>
            <button type="button" className="press" disabled={back.pending} onClick={() => void end(each.id)}>
              Take it back
            </button>
          </li>
        ))}
      </ul>
      {link && (
        <GivenLink
          words="Give them this address. It is shown this once, opens once, and is good for three days."
          address={link}
          mark="invitation"
          hasMail={hasMail}
        />
      )}
      <form onSubmit={(event) => void begin(event)} className="mt-3 grid items-end gap-4 sm:grid-cols-[1fr_1fr_auto]">
        <Field label="Who">
          {(wired) => (
            <select {...wired} name="personId" className="field">
              <option value="">somebody new</option>
              {people.map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </select>
          )}
        </Field>
        <Field label="As what">
          {(wired) => (
            <select {...wired} name="role" className="field" defaultValue="painter">
              {roles.map((each) => (
                <option key={each} value={each}>
                  {capital(roleWords[each])}
                </option>
              ))}
            </select>
          )}
        </Field>
        <button type="submit" className="press press-now min-h-12" disabled={make.pending}>
          Make the link
        </button>
      </form>
      <Trouble>{make.issue ?? back.issue}</Trouble>
    </div>
  )
}
