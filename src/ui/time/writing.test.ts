import { expect, test } from 'vitest'
import { isWriting, whenWritten, writing } from './writing'

test('what waits is told when the last of the writes was answered, well or badly', async () => {
  let [store, fail] = [() => undefined as void, () => undefined as void]
  const one = writing(() => new Promise<string>((resolve) => (store = () => resolve('stored'))))
  const other = writing(() => new Promise<string>((_, reject) => (fail = () => reject(new Error('cut off')))))
  const said: string[] = []
  const told = whenWritten().then(() => said.push('told'))
  expect(isWriting()).toBe(true)
  store()
  expect(await one).toBe('stored')
  expect([isWriting(), said]).toEqual([true, []])
  fail()
  await expect(other).rejects.toThrow('cut off')
  await told
  expect([isWriting(), said]).toEqual([false, ['told']])
  await whenWritten()
})
