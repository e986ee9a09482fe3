/** Where a new password is chosen; the same words for an address that was used, is over or never was. */
import { findByPasswordKey } from '@/app/_server/door'
import { DoorFrame } from '@/ui/door/DoorFrame'
import { NewPassword } from '@/ui/door/NewPassword'
import { Link } from '@/ui/frame/Link'

export const metadata = { title: 'A new password', referrer: 'no-referrer' as const, robots: { index: false } }

export default async function NewPasswordPage({ params }: { params: Promise<{ token: string }> }) {
  const { token } = await params
  const account = await findByPasswordKey(token)
  if (!account)
    return (
      <DoorFrame title="This link opens nothing" words="It was used, or is older than a day. Ask for another one.">
        <Link href="/sign-in" className="press press-now mt-6 inline-flex">
          To the door
        </Link>
      </DoorFrame>
    )
  return (
    <DoorFrame
      title="A new password"
      words={`For ${account.name}. As soon as it is kept, every device that was in by the old one is out.`}
    >
      <NewPassword token={token} name={account.name} />
    </DoorFrame>
  )
}
