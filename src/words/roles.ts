/** What people are in a studio, in words. */
import type { Role } from '@/core/house/roles'

export const roleWords: Record<Role, string> = {
  owner: 'owner',
  painter: 'painter',
  bookkeeper: 'bookkeeper',
  helper: 'helper',
}
/** A device by what its browser says of itself: enough to know one's own again. */
export function deviceWords(agent: string | null): string {
  const said = agent ?? ''
  const on = /iPhone|iPad/.test(said)
    ? 'an iOS device'
    : /Android/.test(said)
      ? 'an Android device'
      : /Windows/.test(said)
        ? 'a Windows computer'
        : /Macintosh/.test(said)
          ? 'a Mac'
          : /Linux/.test(said)
            ? 'a Linux computer'
            : 'some device'
  return /Mobile/.test(said) && on === 'some device' ? 'a phone' : on
}
