/**
 * How fast pages answer, against an empty page of the same app, in one run: medians and ratios. Usage: npm run bench, with
 * the demo running (`./itinerum demo`); another address as the first argument.
 */
import { comeIn, cookieHeader } from './comeIn'

const address = process.argv[2] ?? 'http://127.0.0.1:4700'
const rounds = Number(process.argv[3] ?? 60)
/** the most a page may take, as a multiple of the empty one */
const allowed = 5

const headers = cookieHeader(await comeIn(address))
const answer = async (path: string) => {
  const response = await fetch(`${address}${path}`, { headers })
  const body = await response.text()
  if (!response.ok) throw new Error(`${path} answered ${response.status}`)
  return body
}
const pieces = await answer('/pieces')
const piece = /href="(\/pieces\/[0-9a-f-]{36})"/.exec(pieces)?.[1]
if (!piece) throw new Error('no piece on /pieces: is the demo loaded?')

const paths = { empty: '/blank', bench: '/', pieces: '/pieces', piece, money: `${piece}/money`, record: `${piece}/record` }
const spans = new Map<string, number[]>(Object.keys(paths).map((name) => [name, []]))
// pages take turns, so that a busy moment of the machine falls on all of them alike
for (let round = -40; round < rounds; round += 1) {
  for (const [name, path] of Object.entries(paths)) {
    const begun = performance.now()
    await answer(path)
    if (round >= 0) spans.get(name)?.push(performance.now() - begun)
  }
}
const median = (values: number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN
const empty = median(spans.get('empty') ?? [])
let slow = 0
for (const [name, values] of spans) {
  const ratio = median(values) / empty
  if (ratio > allowed) slow += 1
  console.log(`${name.padEnd(8)} ${median(values).toFixed(1).padStart(7)} ms   ${ratio.toFixed(2)} × the empty page`)
}
if (slow > 0) {
  console.error(`${slow} above ${allowed} × the empty page`)
  process.exitCode = 1
}
