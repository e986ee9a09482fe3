import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest'

vi.mock('server-only', () => ({}))
const machine = vi.hoisted(() => ({ free: null as number | null }))
vi.mock('./machine', () => ({ freeShare: () => machine.free }))
/** As the server that tells at this moment of every turn; the clock stands at the beginning of one. */
async function serverAt(moment: number) {
  vi.stubEnv('ITINERUM_MOMENT', String(moment))
  vi.resetModules()
  delete (globalThis as { itinerumTurns?: unknown }).itinerumTurns
  return import('./inTurn')
}
beforeEach(() => void vi.useFakeTimers({ now: 1_800_000_000_000 }))
afterEach(() => {
  vi.useRealTimers()
  machine.free = null
  vi.unstubAllEnvs()
})

test('one is told in every turn, in the order in which they came', async () => {
  const { tellInTurn } = await serverAt(0)
  const told: string[] = []
  for (const name of ['desk', 'phone', 'tablet']) tellInTurn(() => told.push(name))
  const after = (ms: number) => (vi.advanceTimersByTime(ms), told.length)
  expect([after(199), after(1), after(199), after(1), after(200)]).toEqual([0, 1, 1, 2, 3])
  expect(told).toEqual(['desk', 'phone', 'tablet'])
})
test('who waits is told once of several changes, and anew of what comes after', async () => {
  const { tellInTurn } = await serverAt(0)
  const [desk, phone] = [vi.fn(), vi.fn()]
  for (const tell of [desk, phone, phone, desk, phone]) tellInTurn(tell)
  vi.advanceTimersByTime(1_000)
  expect([desk.mock.calls.length, phone.mock.calls.length]).toEqual([1, 1])
  tellInTurn(phone)
  vi.advanceTimersByTime(200)
  expect(phone).toHaveBeenCalledTimes(2)
})
test('who has gone is passed over, and keeps nobody waiting', async () => {
  const { leaveTurn, tellInTurn } = await serverAt(0)
  const [desk, phone, tablet] = [vi.fn(), vi.fn(), vi.fn()]
  for (const tell of [desk, phone, tablet]) tellInTurn(tell)
  expect(leaveTurn(phone)).toBe(true)
  vi.advanceTimersByTime(400)
  expect([desk, phone, tablet].map(({ mock }) => mock.calls.length)).toEqual([1, 0, 1])
})
describe('servers of one machine', () => {
  test.each([
    [0, 200],
    [0.25, 50],
    [0.5, 100],
    [0.75, 150],
  ])('the one of the moment %s tells after %d ms, and every 200 ms after that', async (moment, ms) => {
    const { tellInTurn } = await serverAt(moment)
    const toldMs: number[] = []
    const begunMs = Date.now()
    for (let k = 0; k < 3; k += 1) tellInTurn(() => toldMs.push(Date.now() - begunMs))
    vi.advanceTimersByTime(1_000)
    expect(toldMs).toEqual([ms, ms + 200, ms + 400])
  })
  test('a moment that is as good as past is let go: two are never told at once', async () => {
    const { tellInTurn } = await serverAt(0)
    const toldMs: number[] = []
    const begunMs = Date.now()
    vi.advanceTimersByTime(190)
    for (let k = 0; k < 2; k += 1) tellInTurn(() => toldMs.push(Date.now() - begunMs))
    vi.advanceTimersByTime(1_000)
    expect(toldMs).toEqual([400, 600])
  })
})
describe('a machine that is full', () => {
  test('lets its moments pass until there is room', async () => {
    const { tellInTurn } = await serverAt(0)
    const told: string[] = []
    machine.free = 0.1
    for (const name of ['desk', 'phone']) tellInTurn(() => told.push(name))
    vi.advanceTimersByTime(1_000)
    expect(told).toEqual([])
    machine.free = 0.9
    vi.advanceTimersByTime(400)
    expect(told).toEqual(['desk', 'phone'])
  })
  test('keeps nobody for longer than a second and a half by that; what came later does not make one wait anew', async () => {
    const { tellInTurn } = await serverAt(0)
    const toldMs: number[] = []
    const begunMs = Date.now()
    const desk = () => void toldMs.push(Date.now() - begunMs)
    machine.free = 0
    for (let k = 0; k < 7; k += 1) {
      tellInTurn(desk)
      vi.advanceTimersByTime(200)
    }
    expect(toldMs).toEqual([])
    vi.advanceTimersByTime(200)
    expect(toldMs).toEqual([1_600])
  })
  test('tells a crowd that waits already one after the other, as if it were not', async () => {
    const { tellInTurn } = await serverAt(0)
    const toldMs: number[] = []
    const begunMs = Date.now()
    machine.free = 0
    for (let k = 0; k < 4; k += 1) tellInTurn(() => toldMs.push(Date.now() - begunMs))
    vi.advanceTimersByTime(3_000)
    expect(toldMs).toEqual([1_600, 1_800, 2_000, 2_200])
  })
})
