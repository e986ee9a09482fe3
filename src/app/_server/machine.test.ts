import { beforeEach, expect, test, vi } from 'vitest'

vi.mock('server-only', () => ({}))
const counted = vi.hoisted(() => ({ now: [] as { user: number; idle: number }[] }))
vi.mock('node:os', () => ({
  cpus: () => counted.now.map(({ user, idle }) => ({ times: { user, nice: 0, sys: 0, idle, irq: 0 } })),
}))
beforeEach(() => void vi.resetModules())
const at = (...now: [number, number][]) => (counted.now = now.map(([user, idle]) => ({ user, idle })))

test('the share of both processors that was free between two asks', async () => {
  const { freeShare } = await import('./machine')
  at([1_000, 9_000], [5_000, 5_000])
  expect(freeShare(0)).toBeNull()
  // 200 ms later: one worked throughout, the other for a quarter
  at([1_200, 9_000], [5_050, 5_150])
  expect(freeShare(200)).toBeCloseTo(150 / 400)
  at([1_200, 9_200], [5_050, 5_350])
  expect(freeShare(400)).toBe(1)
})
test('what was counted long ago, or just now, says nothing', async () => {
  const { freeShare } = await import('./machine')
  at([0, 0])
  freeShare(0)
  at([10, 40])
  expect(freeShare(50)).toBeNull()
  // the count just now was none: from the first one on
  at([50, 150])
  expect(freeShare(200)).toBe(0.75)
  at([5_000, 5_000])
  expect(freeShare(10_000)).toBeNull()
  at([5_100, 5_100])
  expect(freeShare(10_200)).toBe(0.5)
})
test('a machine that says nothing of its processors is no full one', async () => {
  const { freeShare } = await import('./machine')
  at()
  freeShare(0)
  expect(freeShare(200)).toBeNull()
})
