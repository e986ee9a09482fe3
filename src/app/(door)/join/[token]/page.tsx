/** What a link invites to; the same words for one that was used, taken back, is over or never was. */
import { findInvited } from '@/app/_server/door'
import { DoorFrame } from '@/ui/door/DoorFrame'
import { Join } from '@/ui/door/Join'
import { Link } from '@/ui/frame/Link'
import { roleWords } from '@/words/roles'

export const metadata = { title: 'Come in', referrer: 'no-referrer' as const, robots: { index: false } }

export default async function JoinPage({ params }: { params: Promise<{ token: string }> }) {
  const { token } = await params
  const invited = await findInvited(token)
  if (!invited)
    return (
      <DoorFrame
        title="This link opens nothing"
        words="It was used, taken back, or is older than three days. Ask for another one."
      >
        <Link href="/sign-in" className="press press-now mt-6 inline-flex">
          To the door
        </Link>
      </DoorFrame>
    )
  const { studioName, role, personName } = invited
  return (
    <DoorFrame
      title={personName ? `Come in, ${personName}` : role === 'owner' ? 'The key is yours' : 'Come in'}
      words={
        role === 'owner'
          ? `${studioName} is yours to run. Say who you are; from then on you come in by this name and password.`
          : `You are asked into ${studioName} as ${roleWords[role]}. From now on you come in by the name and password that you give here; if you have some in another studio, give those.`
      }
    >
      <Join token={token} called={personName} />
    </DoorFrame>
  )
}
