/** What failed by a JSON report of Vitest or Playwright: a line for each test or file, and its first error. Usage: node failedTests.mjs REPORT */
import { readFileSync } from 'node:fs'

const report = JSON.parse(readFileSync(process.argv[2], 'utf8'))
const short = (text) =>
  String(text ?? '')
    // colours are for a terminal
    .replaceAll(new RegExp(`${String.fromCharCode(27)}\\[[0-9;]*m`, 'g'), '')
    .split('\n')
    .slice(0, 12)
    .join('\n  ')

for (const { name, status, message, assertionResults } of report.testResults ?? []) {
  const failed = assertionResults.filter((test) => test.status === 'failed')
  for (const { fullName, failureMessages } of failed) console.log(`${name}: ${fullName}\n  ${short(failureMessages[0])}`)
  if (status === 'failed' && failed.length === 0) console.log(`${name}\n  ${short(message)}`)
}
const specsOf = ({ suites = [], specs = [] }) => [...specs, ...suites.flatMap(specsOf)]
for (const { ok, file, line, title, tests } of specsOf(report))
  if (!ok)
    for (const { projectName, results } of tests.filter(({ status }) => status === 'unexpected'))
      console.log(`${file}:${line} ${projectName}: ${title}\n  ${short(results.at(-1)?.error?.message)}`)
for (const { message } of report.errors ?? []) console.log(`outside any test: ${short(message)}`)
