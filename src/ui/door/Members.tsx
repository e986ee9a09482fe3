'use client'
/** Who may come in, as what; the owner ends it. */
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import type { Role } from '@/core/house/roles'
import { useActions } from '@/ui/form/actions'
import { Trouble } from '@/ui/form/Field'
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
}

export function Members({ members }: { members: readonly Member[] }) {
  const { sendMemberAway, makeNewPassword } = useActions()
  const router = useRouter()
  const write = useWrite(sendMemberAway)
  const renew = useWrite(makeNewPassword)
  const [sure, setSure] = useState<string | null>(null)
  const [link, setLink] = useState<{ name: string; address: string } | null>(null)
  const make = async (membershipId: string, name: string) => {
    const token = freshSecret()
    if (await renew.send({ entryId: uuidv7(), membershipId, token }))
      setLink({ name, address: `${location.origin}/new-password/${token}` })
  }
  const send = async (membershipId: string) => {
    if (await write.send({ entryId: uuidv7(), membershipId })) router.refresh()
  }
  return (
    <>
      <ul className="mt-2">
        {members.map(({ id, name, accountName, role, mayGo, mayRenew }) => (
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
                <button
                  type="button"
                  className="press"
                  disabled={write.pending}
                  onClick={() => (sure === id ? void send(id) : setSure(id))}
                >
                  {sure === id ? `${name} comes in no more` : 'Comes in no more…'}
                </button>
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
      <Trouble>{write.issue ?? renew.issue}</Trouble>
    </>
  )
}
