/** Who may come in, and on which devices one is in oneself. */
import { redirect } from 'next/navigation'
import { listFailedTries, listOwnHappened, listOwnSessions, listOwnStudios } from '@/app/_server/door'
import { findHouseRule } from '@/app/_server/houseRule'
import { listOwnLetters } from '@/app/_server/letters'
import { hasMail, mailShown } from '@/app/_server/mail'
import { listMembers } from '@/app/_server/members'
import { isReached } from '@/app/_server/pairing'
import { listOwnPasskeys } from '@/app/_server/passkeys'
import { findOwnFactor } from '@/app/_server/secondFactor'
import { loadHouse, readStudio } from '@/app/_server/session'
import { whoIsIn } from '@/app/_server/whoIsIn'
import { type HappenedGroup, happenedGroups } from '@/core/house/doorEvents'
import { listInvitations } from '@/db/invitation'
import { BringPhone } from '@/ui/door/BringPhone'
import { ChangePassword } from '@/ui/door/ChangePassword'
import { CodesForAll } from '@/ui/door/CodesForAll'
import { Devices } from '@/ui/door/Devices'
import { FailedTries } from '@/ui/door/FailedTries'
import { HappenedList } from '@/ui/door/HappenedList'
import { Invitations } from '@/ui/door/Invitations'
import { Letters } from '@/ui/door/Letters'
import { Members } from '@/ui/door/Members'
import { Passkeys } from '@/ui/door/Passkeys'
import { SecondFactor } from '@/ui/door/SecondFactor'
import { SignOut } from '@/ui/door/SignOut'
import { Studios } from '@/ui/door/Studios'
import { roleWords } from '@/words/roles'
import { capital } from '@/words/text'

export const metadata = { title: 'Who comes in' }

export default async function Doors({ searchParams }: PageProps<'/house/doors'>) {
  const { of } = await searchParams
  const group = Object.keys(happenedGroups).find((each) => each === of) as HappenedGroup | undefined
  const session = await whoIsIn()
  if (!session) redirect('/sign-in?to=/house/doors')
  const isOwner = session.role === 'owner'
  const [rule, factor, passkeys, failed, { people }, sessions, studios, happened, members, invitations, letters] =
    await Promise.all([
      isOwner && !session.isDemo ? findHouseRule(session) : null,
      session.isDemo ? null : findOwnFactor(session),
      session.isDemo ? [] : listOwnPasskeys(session),
      session.isDemo ? [] : listFailedTries(session),
      loadHouse(),
      listOwnSessions(session),
      listOwnStudios(session),
      listOwnHappened(session, 30, group),
      listMembers(session),
      isOwner ? readStudio(listInvitations) : [],
      isOwner && hasMail() ? listOwnLetters(session) : [],
    ])
  // whose hands came in meanwhile, by another link, are asked no more
  const isOpen = ({ personId }: { personId: string | null }) => !members.some((each) => each.personId === personId)
  const asks = { password: !session.isDemo, code: factor?.isOn ?? false }
  const nameOf = (personId: string) => people.find(({ id }) => id === personId)?.name ?? ''
  return (
    <div className="space-y-12 pt-6">
      <section>
        <h1 className="title text-5xl">{session.personName}</h1>
        <p className="mt-2 text-lg text-soft">
          {capital(roleWords[session.role])} here, signed in as {session.accountName}
          {session.isDemo && '. This is the demo: anybody on this machine comes in by one tap'}.
        </p>
        <SignOut of={session.membershipId} />
        {!session.isDemo && <ChangePassword />}
        {factor && <SecondFactor {...factor} />}
        {!session.isDemo && (
          <Passkeys
            passkeys={passkeys.map(({ id, name, host, madeAt, usedAt }) => ({ id, name, host, madeAt, usedAt }))}
            asks={asks}
          />
        )}
      </section>
      {studios.length > 1 && (
        <section aria-labelledby="studios" className="border-t-2 border-ink pt-4">
          <h2 id="studios" className="title text-3xl">
            Your studios
          </h2>
          <Studios own={session.membershipId} studios={studios.map((each) => ({ ...each, as: roleWords[each.role] }))} />
        </section>
      )}
      <section aria-labelledby="devices" className="border-t-2 border-ink pt-4">
        <h2 id="devices" className="title text-3xl">
          Where you are in
        </h2>
        <p className="mt-1 max-w-prose text-soft">
          A device that was lost is signed out here. As soon as it asks for anything, what it kept of the studio goes from it.
        </p>
        {failed.length > 0 && <FailedTries failed={failed} />}
        <Devices sessions={sessions} own={session.id} asks={asks} />
        <BringPhone isReached={isReached()} devices={sessions.map(({ id }) => id)} asks={asks} />
      </section>
      <section aria-labelledby="members" className="border-t-2 border-ink pt-4">
        <h2 id="members" className="title text-3xl">
          Who comes in
        </h2>
        <Members
          members={members.map(({ membershipId, personId, accountName, role, hasCodes }) => ({
            ...{ id: membershipId, name: nameOf(personId), accountName, role },
            mayGo: isOwner && membershipId !== session.membershipId,
            mayRenew: isOwner && !session.isDemo,
            mayEndCodes: isOwner && hasCodes,
          }))}
          hasMail={hasMail()}
        />
        {isOwner && (
          <Invitations
            invitations={invitations
              .filter(isOpen)
              .map((each) => ({ ...each, name: each.personId ? nameOf(each.personId) : null }))}
            people={people.filter(({ id }) => isOpen({ personId: id }))}
            hasMail={hasMail()}
          />
        )}
        {rule && <CodesForAll {...rule} asks={asks} />}
      </section>
      {isOwner && hasMail() && <Letters letters={letters} shown={mailShown()} />}
      <section aria-labelledby="happened" className="border-t-2 border-ink pt-4">
        <h2 id="happened" className="title text-3xl">
          What happened here
        </h2>
        <HappenedList all={happened} group={group ?? null} />
      </section>
    </div>
  )
}
