'use server'
/** Who may come in: invitations, and who comes in no more. The owner's alone; the database says so too. */
import { makePasswordKey } from '@/app/_server/door'
import { changeRole, sendAway } from '@/app/_server/members'
import { endFor } from '@/app/_server/secondFactor'
import { whoIsIn } from '@/app/_server/whoIsIn'
import { Refused, writeOnce } from '@/app/_server/write'
import {
  inviteBackInput,
  type InviteBackText,
  inviteInput,
  type InviteText,
  passwordKeyInput,
  type PasswordKeyText,
  roleInput,
  type RoleText,
  sendAwayInput,
  type SendAwayText,
} from '@/core/input/door'
import type { Answer, IssueCode } from '@/core/input/issues'
import { addInvitation, revokeInvitation } from '@/db/invitation'

/** a link is good for so long */
const inviteHours = 72

async function owner() {
  const session = await whoIsIn()
  if (session?.role !== 'owner') throw new Refused('not-yours')
  return session
}

export async function invite(typed: InviteText): Promise<Answer> {
  return writeOnce(
    'invite',
    inviteInput,
    typed,
    ({ id }) => id,
    async (client, studio, { token: secret, ...invitation }) => {
      await owner()
      await addInvitation(client, studio.id, { ...invitation, secret, hours: inviteHours })
    },
  )
}

export async function takeBackInvitation(typed: InviteBackText): Promise<Answer> {
  return writeOnce(
    'takeBackInvitation',
    inviteBackInput,
    typed,
    ({ entryId }) => entryId,
    async (client, _studio, { id, at }) => {
      await owner()
      await revokeInvitation(client, id, at)
    },
  )
}

/** An address to a new password, for somebody who forgot theirs. */
export async function makeNewPassword(typed: PasswordKeyText): Promise<Answer> {
  return writeOnce(
    'makeNewPassword',
    passwordKeyInput,
    typed,
    ({ entryId }) => entryId,
    async (_client, _studio, { membershipId, token }) => {
      if (!(await makePasswordKey(await owner(), membershipId, token))) throw new Refused('belongs-elsewhere')
    },
  )
}

function orRefuse(changed: 'done' | IssueCode): void {
  if (changed !== 'done') throw new Refused(changed)
}

export async function changeMemberRole(typed: RoleText): Promise<Answer> {
  return writeOnce(
    'changeMemberRole',
    roleInput,
    typed,
    ({ entryId }) => entryId,
    async (_client, _studio, { membershipId, role }) => {
      orRefuse(await changeRole(await owner(), membershipId, role))
    },
  )
}

/** Whose app and printed codes are gone comes in by the password alone. */
export async function endMemberCodes(typed: SendAwayText): Promise<Answer> {
  return writeOnce(
    'endMemberCodes',
    sendAwayInput,
    typed,
    ({ entryId }) => entryId,
    async (_client, _studio, { membershipId }) => {
      if (!(await endFor(await owner(), membershipId))) throw new Refused('belongs-elsewhere')
    },
  )
}

export async function sendMemberAway(typed: SendAwayText): Promise<Answer> {
  return writeOnce(
    'sendMemberAway',
    sendAwayInput,
    typed,
    ({ entryId }) => entryId,
    async (_client, _studio, { membershipId }) => {
      orRefuse(await sendAway(await owner(), membershipId))
    },
  )
}
