/** What happened at the doors, in words. */
import type { DoorEvent } from '@/core/house/doorEvents'
import type { Role } from '@/core/house/roles'
import { roleWords } from './roles'

interface Happened {
  what: DoorEvent
  /** names one signs in with */
  by: string | null
  about: string | null
  role: Role | null
  agent: string | null
}
/** What happened at the doors, as one sentence. */
export function happenedWords({ what, by, about, role, agent }: Happened): string {
  const whom = about ?? 'Somebody'
  const other = by !== null && by !== about ? by : null
  const as = role ? roleWords[role] : 'somebody'
  const sentences: Record<DoorEvent, string> = {
    'came-in': `${whom} came in, on ${deviceWords(agent)}.`,
    'went-out': `${whom} went out, on ${deviceWords(agent)}.`,
    'signed-out': `${other ?? whom} signed ${other ? whom : 'themself'} out on ${deviceWords(agent)}.`,
    joined: `${whom} joined as ${as}.`,
    role: `${whom} is ${as === 'owner' ? 'an' : 'a'} ${as} here now${other ? `, says ${other}` : ''}.`,
    'sent-away': `${whom} comes in no more${other ? `, says ${other}` : ''}.`,
    password: `${whom} has another password.`,
    'codes-on': `${whom} comes in with a code from an app from now on.`,
    'codes-off': `${whom} comes in without codes from now on${other ? `, says ${other}` : ''}.`,
    'printed-code': `${whom} used one of their printed codes.`,
    invited: `${by ?? 'Whoever runs the machine'} made a link for ${as === 'owner' ? 'an' : 'a'} ${as}.`,
    'invitation-back': `${by ?? 'Whoever runs the machine'} took back a link for ${as === 'owner' ? 'an' : 'a'} ${as}.`,
  }
  return sentences[what]
}
/** A device by what its browser says of itself. */
export function deviceWords(agent: string | null): string {
  const said = agent ?? ''
  if (/tablet/i.test(said)) return 'a tablet'
  if (/mobi/i.test(said)) return 'a phone'
  return /^mozilla/i.test(said) ? 'a computer' : 'some device'
}
