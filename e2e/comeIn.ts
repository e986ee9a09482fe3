/** Before the browser tests: somebody of the demo comes in, and every test goes on in that session. */
import { writeFileSync } from 'node:fs'
import { comeIn } from '../scripts/comeIn'
import { sessionFile } from './browser'

export default async function setup() {
  const address = process.env.ITINERUM_URL
  if (!address) throw new Error('ITINERUM_URL names no server. Run these tests with: ./itinerum test browser')
  const { name, value } = await comeIn(address)
  const cookie = { name, value, domain: '127.0.0.1', path: '/', expires: -1, httpOnly: true, secure: false, sameSite: 'Lax' }
  writeFileSync(sessionFile, JSON.stringify({ cookies: [cookie], origins: [] }))
}
