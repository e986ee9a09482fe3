/** What people are in a studio, in words. */
import type { Role } from '@/core/house/roles'

export const roleWords: Record<Role, string> = {
  owner: 'owner',
  painter: 'painter',
  bookkeeper: 'bookkeeper',
  helper: 'helper',
}
