/** Where somebody sets up a code whose studio asks one of everybody, before they come any further. */
import { redirect } from 'next/navigation'
import { findOwnFactor } from '@/app/_server/secondFactor'
import { sessionSecret } from '@/app/_server/session'
import { lookUp } from '@/app/_server/whoIsIn'
import { ownPlace } from '@/sessionCookie'
import { DoorFrame } from '@/ui/door/DoorFrame'
import { GoOut } from '@/ui/door/GoOut'
import { SecondFactor } from '@/ui/door/SecondFactor'

export const metadata = { title: 'A code from an app', robots: { index: false } }

export default async function Codes({ searchParams }: PageProps<'/codes'>) {
  const { to } = await searchParams
  const session = await lookUp(await sessionSecret())
  if (!session || !(session.isOpen || session.lacksCode)) redirect('/sign-in')
  if (session.isDemo) redirect('/')
  const onward = ownPlace(typeof to === 'string' ? to : '/')
  return (
    <DoorFrame
      title={session.isOpen ? 'You are in' : 'One more thing'}
      words={
        session.isOpen
          ? 'Keep the printed codes where your phone is not.'
          : 'This studio asks a code from an app of everybody who comes in. It is set up once, here; what waits on this device is kept meanwhile.'
      }
    >
      <SecondFactor {...await findOwnFactor(session)} onward={onward} />
      {!session.isOpen && <GoOut />}
    </DoorFrame>
  )
}
