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

interface Member {
  id: string
  name: string
  accountName: string
  role: Role
  mayGo: boolean
}

export function Members({ members }: { members: readonly Member[] }) {
  const { sendMemberAway } = useActions()
  const router = useRouter()
  const write = useWrite(sendMemberAway)
  const [sure, setSure] = useState<string | null>(null)
  const send = async (membershipId: string) => {
    if (await write.send({ entryId: uuidv7(), membershipId })) router.refresh()
  }
  return (
    <>
      <ul className="mt-2">
        {members.map(({ id, name, accountName, role, mayGo }) => (
          <li key={id} className="flex min-h-16 flex-wrap items-center justify-between gap-x-6 border-b border-line py-2">
            <span>
              <strong className="text-lg">{name}</strong>, {roleWords[role]}
              <span className="block text-soft">signs in as {accountName}</span>
            </span>
            {mayGo && (
              <button
                type="button"
                className="press"
                disabled={write.pending}
                onClick={() => (sure === id ? void send(id) : setSure(id))}
              >
                {sure === id ? `${name} comes in no more` : 'Comes in no more…'}
              </button>
            )}
          </li>
        ))}
      </ul>
      <Trouble>{write.issue}</Trouble>
    </>
  )
}
