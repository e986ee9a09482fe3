import { expect, test } from 'vitest'
import { patiently } from './patiently'

const refused = () => Object.assign(new Error('connect ECONNREFUSED'), { code: 'ECONNREFUSED' })
/** Fails so often, then gives how often it was asked. */
const back = (after: number, fault: () => Error) => {
  let asked = 0
  return () => ((asked += 1) > after ? Promise.resolve(asked) : Promise.reject(fault()))
}

test('what was cut off is read again until it is there', async () => {
  expect(await patiently(back(2, refused), 5_000)).toBe(3)
})
test('a fault of our own is told at once', async () => {
  let asked = 0
  const wrong = () => {
    asked += 1
    return Promise.reject(new Error('no such column'))
  }
  await expect(patiently(wrong, 5_000)).rejects.toThrow('no such column')
  expect(asked).toBe(1)
})
test('what stays away is told when patience is over', async () => {
  await expect(patiently(back(Infinity, refused), 500)).rejects.toThrow('ECONNREFUSED')
})
