'use client'
/** Who may come in, as what; the owner ends it. */
import { useRouter } from 'next/navigation'
import { type ReactNode, useId, useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { type Role, roles } from '@/core/house/roles'
import { useActions } from '@/ui/form/actions'
import { Trouble } from '@/ui/form/Field'
import { useTapGuard } from '@/ui/form/useTapGuard'
import { useWrite } from '@/ui/form/useWrite'
import { roleWords } from '@/words/roles'
import { freshSecret } from './ask'
import { GivenLink } from './GivenLink'

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

export function Members({ members, hasMail }: { members: readonly Member[]; hasMail: boolean }) {
  const { makeNewPassword } = useActions()
  const renew = useWrite(makeNewPassword)
  const [link, setLink] = useState<{ name: string; address: string } | null>(null)
  const make = async ({ id: membershipId, name }: Member) => {
    const token = freshSecret()
    if (await renew.send({ entryId: uuidv7(), membershipId, token }))
      setLink({ name, address: `${location.origin}/new-password/${token}` })
  }
  return (
    <>
      <ul className="mt-2">
        {members.map((each) => (
          <li
            key={each.id}
            className="flex min-h-16 flex-wrap items-center justify-between gap-x-6 gap-y-2 border-b border-line py-2"
          >
            <span>
              <strong className="text-lg">{each.name}</strong>, {roleWords[each.role]}
              <span className="block text-soft">signs in as {each.accountName}</span>
            </span>
            {each.mayGo && (
              <MemberTools member={each}>
                {each.mayRenew && (
                  <button type="button" className="press" disabled={renew.pending} onClick={() => void make(each)}>
                    A new password
                  </button>
                )}
              </MemberTools>
            )}
          </li>
        ))}
      </ul>
      {link && (
        <GivenLink
          words={`Give ${link.name} this address: a new password is chosen there. It is shown this once, opens once, and is good for a day.`}
          address={link.address}
          mark="password"
          hasMail={hasMail}
        />
      )}
      <Trouble>{renew.issue}</Trouble>
    </>
  )
}

type Asked = 'away' | 'role' | 'codes'

/** What the owner does about one of them: each is asked once more, in the place where it was asked for. */
function MemberTools({
  member: { id: membershipId, name, role, mayEndCodes },
  children,
}: {
  member: Member
  children: ReactNode
}) {
  const { sendMemberAway, changeMemberRole, endMemberCodes } = useActions()
  const router = useRouter()
  const away = useWrite(sendMemberAway)
  const changed = useWrite(changeMemberRole)
  const ended = useWrite(endMemberCodes)
  const [asked, setAsked] = useState<Asked | null>(null)
  const { guard, stir } = useTapGuard()
  const first = useId()
  const ask = (of: Asked) => {
    stir()
    setAsked(asked === of ? null : of)
  }
  const done = (isStored: boolean) => {
    if (!isStored) return
    setAsked(null)
    document.getElementById(first)?.focus()
    router.refresh()
  }
  const sent = { membershipId }
  const after: Record<Asked, ReactNode> = {
    away: (
      <button
        type="button"
        className="press"
        disabled={away.pending}
        {...guard(() => void away.send({ entryId: uuidv7(), ...sent }).then(done))}
      >
        {name} comes in no more
      </button>
    ),
    codes: (
      <button
        type="button"
        className="press"
        disabled={ended.pending}
        {...guard(() => void ended.send({ entryId: uuidv7(), ...sent }).then(done))}
      >
        {name} comes in by the password alone
      </button>
    ),
    role: (
      <>
        <span className="text-soft">{name} is from now on</span>
        {roles
          .filter((each) => each !== role)
          .map((each) => (
            <button
              key={each}
              type="button"
              className="press"
              disabled={changed.pending}
              {...guard(() => void changed.send({ entryId: uuidv7(), ...sent, role: each }).then(done))}
            >
              {roleWords[each]}
            </button>
          ))}
        <span className="w-full text-soft">They sign in anew wherever they are in.</span>
      </>
    ),
  }
  const askWords: readonly (readonly [Asked, string])[] = [
    ['role', 'Another role…'],
    ...(mayEndCodes ? [['codes', 'Without codes…'] as const] : []),
    ['away', 'Comes in no more…'],
  ]
  return (
    <>
      <span className="grid w-full grid-cols-2 gap-2 sm:flex sm:w-auto sm:flex-wrap">
        {children}
        {askWords.map(([of, words], at) => (
          <button
            key={of}
            id={at === 0 ? first : undefined}
            type="button"
            className="press"
            aria-expanded={asked === of}
            onClick={() => ask(of)}
          >
            {words}
          </button>
        ))}
      </span>
      {asked && <span className="flex w-full flex-wrap items-baseline gap-2 pb-2 pt-1">{after[asked]}</span>}
      <Trouble>{away.issue ?? changed.issue ?? ended.issue}</Trouble>
    </>
  )
}
