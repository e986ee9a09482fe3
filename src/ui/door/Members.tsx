'use client'
/** Who may come in, as what; the owner ends it. */
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { type Role, roles } from '@/core/house/roles'
import { useActions } from '@/ui/form/actions'
import { Trouble } from '@/ui/form/Field'
import { useTapGuard } from '@/ui/form/useTapGuard'
import { useWrite } from '@/ui/form/useWrite'
import { roleWords } from '@/words/roles'
import { freshSecret } from './ask'

interface Member {
  id: string
  name: string
  accountName: string
  role: Role
  mayGo: boolean
  /** whether a new password can be made for them here */
  mayRenew: boolean
  /** whether a code is asked for beside their password, and that can be ended here */
  mayEndCodes: boolean
}

export function Members({ members }: { members: readonly Member[] }) {
  const { sendMemberAway, makeNewPassword, changeMemberRole, endMemberCodes } = useActions()
  const router = useRouter()
  const write = useWrite(sendMemberAway)
  const renew = useWrite(makeNewPassword)
  const ended = useWrite(endMemberCodes)
  const changed = useWrite(changeMemberRole)
  const [asked, setAsked] = useState<{ id: string; of: 'away' | 'role' } | null>(null)
  const { guard, stir } = useTapGuard()
  const ask = (id: string, of: 'away' | 'role') => {
    stir()
    setAsked(asked?.id === id && asked.of === of ? null : { id, of })
  }
  const [link, setLink] = useState<{ name: string; address: string } | null>(null)
  const make = async (membershipId: string, name: string) => {
    const token = freshSecret()
    if (await renew.send({ entryId: uuidv7(), membershipId, token }))
      setLink({ name, address: `${location.origin}/new-password/${token}` })
  }
  const send = async (membershipId: string) => {
    if (await write.send({ entryId: uuidv7(), membershipId })) router.refresh()
  }
  const endCodes = async (membershipId: string) => {
    if (await ended.send({ entryId: uuidv7(), membershipId })) router.refresh()
  }
  const change = async (membershipId: string, role: Role) => {
    if (!(await changed.send({ entryId: uuidv7(), membershipId, role }))) return
    setAsked(null)
    router.refresh()
  }
  return (
    <>
      <ul className="mt-2">
        {members.map(({ id, name, accountName, role, mayGo, mayRenew, mayEndCodes }) => (
          <li key={id} className="flex min-h-16 flex-wrap items-center justify-between gap-x-6 border-b border-line py-2">
            <span>
              <strong className="text-lg">{name}</strong>, {roleWords[role]}
              <span className="block text-soft">signs in as {accountName}</span>
            </span>
            {mayGo && (
              <span className="flex flex-wrap gap-2">
                {mayRenew && (
                  <button type="button" className="press" disabled={renew.pending} onClick={() => void make(id, name)}>
                    A new password
                  </button>
                )}
                {mayEndCodes && (
                  <button type="button" className="press" disabled={ended.pending} onClick={() => void endCodes(id)}>
                    Without codes
                  </button>
                )}
                <button
                  type="button"
                  className="press"
                  aria-expanded={asked?.id === id && asked.of === 'role'}
                  onClick={() => ask(id, 'role')}
                >
                  Another role
                </button>
                {asked?.id === id && asked.of === 'away' ? (
                  <button type="button" className="press" disabled={write.pending} {...guard(() => void send(id))}>
                    {name} comes in no more
                  </button>
                ) : (
                  <button type="button" className="press" onClick={() => ask(id, 'away')}>
                    Comes in no more…
                  </button>
                )}
              </span>
            )}
            {asked?.id === id && asked.of === 'role' && (
              <span className="flex w-full flex-wrap items-baseline gap-2 pb-2 pt-1">
                <span className="text-soft">{name} is from now on</span>
                {roles
                  .filter((each) => each !== role)
                  .map((each) => (
                    <button
                      key={each}
                      type="button"
                      className="press"
                      disabled={changed.pending}
                      {...guard(() => void change(id, each))}
                    >
                      {roleWords[each]}
                    </button>
                  ))}
                <span className="w-full text-soft">They sign in anew wherever they are in.</span>
              </span>
            )}
          </li>
        ))}
      </ul>
      {link && (
        <p className="mt-3 border-l-4 border-now pl-3">
          <strong className="block">
            Give {link.name} this address: a new password is chosen there. It is shown this once, opens once, and is good for a
            day.
          </strong>
          <code className="break-all" data-password>
            {link.address}
          </code>
        </p>
      )}
      <Trouble>{write.issue ?? renew.issue ?? changed.issue ?? ended.issue}</Trouble>
    </>
  )
}
