/** Two servers of the app on a primary with a standby that holds every commit: the primary is killed in the middle of the work. */
import { execFile } from 'node:child_process'
import { promisify } from 'node:util'
import { expect, test } from '@playwright/test'

test('nothing that was acknowledged is lost, nothing is there twice, and both serve again by themselves', async () => {
  test.setTimeout(240_000)
  const { stdout } = await promisify(execFile)('npm', ['run', '-s', 'failover', '300'])
  expect(stdout).toMatch(
    /^300 writes of 20 devices over two servers, \d+ sendings; \d+ acknowledged when the primary was killed \(0 of those lost\)$/m,
  )
  expect(stdout).toMatch(/^lost: 0, twice: 0;/m)
  expect(Number(/serving again by itself ([\d.]+) s after/.exec(stdout)?.[1])).toBeLessThan(60)
  expect(stdout).toMatch(/^heard at the other server after \d+ ms before, \d+ ms after it$/m)
})
