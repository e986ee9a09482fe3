/** What a phone opens that was shown the picture at the desk: who comes in, and a press to come in by. */
import { findPairing } from '@/app/_server/pairing'
import { DoorFrame } from '@/ui/door/DoorFrame'
import { Pair } from '@/ui/door/Pair'
import { Link } from '@/ui/frame/Link'

export const metadata = { title: 'Come in', referrer: 'no-referrer' as const, robots: { index: false } }

export default async function PairPage({ params }: { params: Promise<{ token: string }> }) {
  const { token } = await params
  const paired = await findPairing(token)
  if (!paired)
    return (
      <DoorFrame
        title="This picture opens nothing"
        words="It was used, or is older than two minutes. Make another one at the desk."
      >
        <Link href="/sign-in" className="press press-now mt-6 inline-flex">
          To the door
        </Link>
      </DoorFrame>
    )
  return (
    <DoorFrame
      title={`Come in, ${paired.personName}`}
      words={`On this device, into ${paired.studioName}. Whoever holds it is you from then on, until it is signed out.`}
    >
      <Pair token={token} />
    </DoorFrame>
  )
}
