/** The page of advice says what the tables say, rule by rule. */
import { readFileSync } from 'node:fs'
import { format } from 'prettier'
import { expect, test } from 'vitest'
import { endingRules, meetingRules } from '@/core/stack/rules'
import { adviceText } from '../scripts/adviceText'

test('it is made from the tables as they stand', async () => {
  const made = await format(adviceText(), { parser: 'markdown', printWidth: 160, proseWrap: 'preserve' })
  expect(readFileSync('docs/advice.md', 'utf8')).toBe(made)
})
test('every rule stands on it, with a remedy', () => {
  const page = readFileSync('docs/advice.md', 'utf8')
  for (const code of [...Object.keys(meetingRules), ...Object.keys(endingRules)]) expect(page).toContain(`\`${code}\``)
})
