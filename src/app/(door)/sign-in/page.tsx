/** The door. */
import { redirect } from 'next/navigation'
import { listDemo } from '@/app/_server/door'
import { sessionSecret } from '@/app/_server/session'
import { lookUp } from '@/app/_server/whoIsIn'
import { ownPlace } from '@/sessionCookie'
import { DoorFrame } from '@/ui/door/DoorFrame'
import { SignIn } from '@/ui/door/SignIn'

export const metadata = { title: 'Come in' }

export default async function SignInPage({ searchParams }: { searchParams: Promise<{ to?: string; out?: string }> }) {
  const { to, out } = await searchParams
  const place = ownPlace(to)
  const session = await lookUp(await sessionSecret())
  if (session?.isOpen) redirect(place)
  const revoked = session?.isRevoked ? session.membershipId : null
  const demo = await listDemo()
  return (
    <DoorFrame
      title="Who comes in?"
      words={
        revoked
          ? 'This device was signed out from another one. What was kept here is gone from it.'
          : session?.isCopied || session?.isReplayed
            ? 'Another device came in by this sign-in, so it was ended for both. If that was not you, choose another password once you are in.'
            : out === 'self'
              ? 'You are signed out, and this device keeps nothing of yours.'
              : undefined
      }
    >
      <SignIn
        demo={demo.map(({ id, personName, role, studioName }) => ({ id, personName, role, studioName }))}
        to={place}
        revoked={revoked}
      />
    </DoorFrame>
  )
}
