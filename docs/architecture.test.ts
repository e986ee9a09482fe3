/** What the page on the architecture promises, as far as it can be checked; and how long things may be. */
import { execFileSync } from 'node:child_process'
import { existsSync, readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import ts from 'typescript'
import { expect, test } from 'vitest'

const page = readFileSync('docs/architecture.md', 'utf8')
const files = execFileSync('git', ['ls-files', 'src'], { encoding: 'utf8' })
  .split('\n')
  .filter((file) => /\.tsx?$/.test(file) && !/\.test\./.test(file) && existsSync(file))
const textOf = new Map(files.map((file) => [file, readFileSync(file, 'utf8')]))
const quoted = [...page.matchAll(/`([^`]+)`/g)].map(([, text = '']) => text)

test('every file and folder it names is there', () => {
  const paths = quoted.filter((text) => /^(src|scripts|docs|e2e)(\/|$)/.test(text))
  expect(paths.length).toBeGreaterThan(5)
  expect(paths.filter((path) => !existsSync(path))).toEqual([])
})
test('every function it names is exported by the code', () => {
  const names = quoted.filter((text) => /^[a-z]+[A-Z]\w+$/.test(text))
  expect(names.length).toBeGreaterThan(8)
  const all = [...textOf.values()].join('\n')
  expect(names.filter((name) => !new RegExp(`export (async )?(function|const|class) ${name}\\b`).test(all))).toEqual([])
})
test('the floors it names are those that the linter proves, in their order', () => {
  const { forbidden } = createRequire(import.meta.url)('../.dependency-cruiser.cjs') as { forbidden: { name: string }[] }
  const proved = forbidden.flatMap(({ name }) => /^core-(\w+)-looks-down$/.exec(name)?.[1] ?? [])
  const named = /from floor to floor: ([^.]+)\./.exec(page)?.[1]?.split(/,\s+/) ?? []
  expect(named.slice(0, -1)).toEqual(proved)
})
test('writes go through one function: no action opens a transaction of its own', () => {
  const actions = files.filter((file) => file.startsWith('src/app/_actions/'))
  expect(actions.length).toBeGreaterThan(4)
  for (const file of actions) expect(textOf.get(file), file).not.toMatch(/\b(withStudio|inSession|inTransaction|makePool)\b/)
})
test('no words of SQL outside of the database’s folder', () => {
  const elsewhere = files.filter((file) => !file.startsWith('src/db/'))
  for (const file of elsewhere) expect(textOf.get(file), file).not.toMatch(/\b(insert into|delete from|select [a-z_*.]+ from) /i)
})
test('every file says first what it is', () => {
  const opens = /^(?:#![^\n]*\n)?(?:(?:'use [a-z]+'|import 'server-only')\n)*\/\*\*/
  const silent = files.filter((file) => file.startsWith('src/core/') && !opens.test(textOf.get(file) ?? ''))
  expect(silent).toEqual([])
})

const nameOf = (file: string) => file.split('/').at(-1) ?? ''

test('no file above 250 lines', () => {
  const long = files.filter((file) => (textOf.get(file) ?? '').trimEnd().split('\n').length > 250)
  expect(long).toEqual([])
})
test('no component above 120 lines', () => {
  const long: string[] = []
  for (const file of files.filter((each) => each.endsWith('.tsx'))) {
    const source = ts.createSourceFile(file, textOf.get(file) ?? '', ts.ScriptTarget.Latest, true)
    const lineOf = (position: number) => source.getLineAndCharacterOfPosition(position).line
    source.forEachChild((node) => {
      const lines = lineOf(node.getEnd()) - lineOf(node.getStart()) + 1
      if (ts.isFunctionDeclaration(node) && lines > 120) long.push(`${nameOf(file)} ${node.name?.text} ${lines}`)
    })
  }
  expect(long).toEqual([])
})
