/**
 * Guesses at the door: first how long a wrong name and a wrong password take, one at a time and in turn; then many guesses at fifty
 * names from ever other addresses, the right password among them. A server and a cluster of its own; needs a build. Fails where a guess
 * came in, where more guesses were tried than the door lets through, or where a name that is nobody's is told by its time.
 * Usage: npm run guesses [GUESSES]
 */
import { hash } from '@node-rs/argon2'
import { v7 as uuidv7 } from 'uuid'
import { ownServer } from '../e2e/ownServer'

const wanted = Number(process.argv[2] ?? 10_000)
const names = Array.from({ length: 50 }, (_, k) => `painter ${k}`)
/** as the door has it: failures of one name within a quarter of an hour */
const mostByName = 10
const atOnce = 16
const right = 'four plain words here'
/** who comes in by the right password, for nobody guesses at this name */
const control = 'control'

/** as what stands before the server: it alone is believed from where somebody asks */
const front = 'the front of the guesses'
const own = ownServer('guesses', 'own', { ITINERUM_FRONT_KEY: front })
await own.begin()
try {
  const password = await hash(right, { memoryCost: 19_456, timeCost: 2, parallelism: 1 })
  for (const name of [...names, control]) {
    const [accountId, personId] = [uuidv7(), uuidv7()]
    await own.ask('insert into door.account (id, name, password) values ($1, $2, $3)', [accountId, name, password])
    await own.ask('insert into person (id, studio_id, name) select $1, id, $2 from studio', [personId, name])
    await own.ask(
      `insert into door.membership (id, account_id, studio_id, person_id, role) select $1, $2, id, $3, 'helper' from studio`,
      [uuidv7(), accountId, personId],
    )
  }
  let last = 0
  const guess = async (name: string, typed: string) => {
    last += 1
    const begun = performance.now()
    const { status } = await fetch(`${own.address()}/api/session`, {
      method: 'POST',
      body: JSON.stringify({ name, password: typed }),
      headers: {
        origin: own.address(),
        'content-type': 'application/json',
        'itinerum-front': front,
        'x-forwarded-for': `10.${last >> 16}.${(last >> 8) & 255}.${last & 255}`,
      },
    })
    return { status, ms: performance.now() - begun }
  }

  if ((await guess(control, right)).status !== 200) throw new Error('the right password lets nobody in: nothing is tried here')

  const middle = (all: number[]) => all.sort((a, b) => a - b)[Math.floor(all.length / 2)] ?? 0
  const times: { known: number[]; unknown: number[] } = { known: [], unknown: [] }
  for (let k = 0; k < 4 * names.length; k += 1) {
    times.known.push((await guess(names[k % names.length] ?? '', `wrong words ${k}`)).ms)
    times.unknown.push((await guess(`nobody ${k}`, `wrong words ${k}`)).ms)
  }
  const ratio = middle(times.unknown) / middle(times.known)
  console.log(
    `A name that is nobody's is answered in ${ratio.toFixed(2)} of the time of a wrong password (${4 * names.length} of each).`,
  )

  await own.ask('delete from door.sign_in_try')
  const statuses = new Map<number, number>()
  const begun = performance.now()
  let next = 0
  await Promise.all(
    Array.from({ length: atOnce }, async () => {
      for (let k = next++; k < wanted; k = next++) {
        // after more failures than are let through, every other guess is right
        const typed = k >= names.length * mostByName * 2 && k % 2 === 0 ? right : `guess ${k}`
        const { status } = await guess(names[k % names.length] ?? '', typed)
        statuses.set(status, (statuses.get(status) ?? 0) + 1)
      }
    }),
  )
  const took = (performance.now() - begun) / 1000
  const count = (status: number) => statuses.get(status) ?? 0
  console.log(
    `${wanted} guesses at ${names.length} names from ${wanted} addresses in ${took.toFixed(0)} s: ${count(200)} came in, ` +
      `${count(401)} were tried, ${count(429)} were told to wait, ${count(503)} were too many at once.`,
  )
  const others = [...statuses.keys()].filter((status) => ![200, 401, 429, 503].includes(status))
  if (count(200) > 0 || count(401) > names.length * mostByName || others.length > 0) {
    console.error(`More than that was let through: ${JSON.stringify([...statuses])}`)
    process.exitCode = 1
  }
  if (ratio < 0.8 || ratio > 1.25) {
    console.error('The time tells whether somebody bears a name.')
    process.exitCode = 1
  }
} finally {
  await own.end()
}
