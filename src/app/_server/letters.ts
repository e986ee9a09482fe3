/** An address brought to somebody by a letter: one of this studio's own, that opens something still. */
import 'server-only'
import { mayWrite } from '@/core/house/roles'
import type { LetterInput } from '@/core/input/door'
import * as accounts from '@/db/account'
import { findLinkBySecret } from '@/db/clientPage'
import * as invitations from '@/db/invitation'
import * as letters from '@/db/letter'
import type { Session } from '@/db/session'
import { isOwnAddress } from '@/origin'
import { clientLetter, joinLetter, type LetterText, passwordLetter } from '@/words/letters'
import { atDoor, readDoor } from './doorWay'
import { hasMail } from './mail'
import { loadStudio, readStudio } from './session'

/** more than a studio ever has to send, and less than anybody could annoy others with */
const mostAnHour = 30

type Refused = { issue: 'gone' | 'wait' | 'no-mail' | 'not-yours' }
/** Writes it; it goes by itself. */
export async function writeLetter(session: Session, { id, to, address }: LetterInput): Promise<{ ok: true } | Refused> {
  if (!hasMail()) return { issue: 'no-mail' }
  const url = new URL(address)
  const [, about, token] = /^\/(join|new-password|for)\/([\w-]{43})$/.exec(url.pathname) ?? []
  if (!about || !token || !isOwnAddress(url.host)) return { issue: 'gone' }
  const text = await texts[about as letters.LetterKind](session, token, address)
  if ('issue' in text) return text
  return atDoor(async (client) => {
    if ((await letters.countLetters(client, session.studioId)) >= mostAnHour) return { issue: 'wait' as const }
    const { studioId, accountId } = session
    await letters.addLetter(client, { id, studioId, accountId, about: about as letters.LetterKind, recipient: to, ...text })
    return { ok: true as const }
  })
}
export const listOwnLetters = (session: Session): Promise<letters.Letter[]> =>
  readDoor((client) => letters.listLetters(client, session.studioId))

/** What stands in it; an address that opens nothing of this studio is brought to nobody. */
const texts: Record<letters.LetterKind, (session: Session, token: string, address: string) => Promise<LetterText | Refused>> = {
  join: async ({ role, studioId, personName }, token, address) => {
    if (role !== 'owner') return { issue: 'not-yours' }
    const invited = await readDoor((client) => invitations.findInvited(client, token))
    return invited?.studioId === studioId ? joinLetter(invited.studioName, personName, address) : { issue: 'gone' }
  },
  'new-password': async ({ role, studioId, personName }, token, address) => {
    if (role !== 'owner') return { issue: 'not-yours' }
    const account = await readDoor((client) => accounts.findByPasswordKey(client, token))
    const members = account ? await readDoor((client) => accounts.listMembers(client, studioId)) : []
    const own = members.some(({ accountName }) => accountName === account?.name)
    return own ? passwordLetter((await loadStudio()).name, personName, address) : { issue: 'gone' }
  },
  for: async ({ role }, token, address) => {
    if (role !== 'owner' && !mayWrite[role].includes('client_link')) return { issue: 'not-yours' }
    const link = await readStudio((client) => findLinkBySecret(client, token))
    return link ? clientLetter(link.language, (await loadStudio()).name, link.pieceName, address) : { issue: 'gone' }
  },
}
