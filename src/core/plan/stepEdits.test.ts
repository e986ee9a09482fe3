import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { defaultMethod } from '@/core/craft/method'
import type { FinishablePart, FinishWish } from '@/core/finish/wish'
import { replan } from './replan'
import { editedSteps, isEdited, keysOf, noEdits, type OwnStep, spotAt, type StepEdits, workedSteps } from './stepEdits'

const part: FinishablePart = { substrate: 'close-grained', existing: 'varnish', lead: 'clear', use: 'light', areaM2: 1 }
const wish: FinishWish = {
  look: 'two-colour-distress',
  paint: 'clay',
  colours: { a: { name: 'Ferry Slate', hex: '#3d5661' }, b: { name: 'Oat Husk', hex: '#e3d7bd' } },
}
const stepsOf = (of: FinishWish, facts = part) => {
  const outcome = replan(facts, of, [], defaultMethod)
  if ('refusal' in outcome) throw new Error(outcome.refusal.code)
  return outcome.steps
}
const planned = stepsOf(wish)
const keys = keysOf(planned)
const own = (over: Partial<OwnStep> = {}): OwnStep => ({
  id: 'mine',
  at: { after: null, before: keys[0] ?? null },
  like: null,
  operation: 'own',
  words: 'Number the drawers',
  minutes: 12,
  check: null,
  ...over,
})
const worked = (edits: StepEdits, steps = planned) => workedSteps(editedSteps(steps, edits), edits, part, defaultMethod, [])

describe('steps as the painter has them', () => {
  test('no edit, no change: the windows too', () => {
    expect(isEdited(noEdits)).toBe(false)
    expect(worked(noEdits).map(({ step }) => step)).toEqual(planned)
  })
  test('each step has a name of its own, which it keeps when another layer comes in', () => {
    expect(new Set(keys).size).toBe(planned.length)
    const more = stepsOf({ ...wish, with: ['aged-wax'] })
    const coats = planned.flatMap(({ operation }, k) => (operation === 'coat' ? [keys[k]] : []))
    expect(coats.length).toBeGreaterThan(2)
    expect(keysOf(more)).toEqual(expect.arrayContaining(coats))
  })
  test('a step left out stays left out when the colour of a layer changes', () => {
    const scuff = planned.findIndex(({ operation }) => operation === 'scuff')
    const edits = { ...noEdits, left: [keys[scuff] ?? ''] }
    expect(worked(edits).some(({ step }) => step.operation === 'scuff')).toBe(false)
    const other = stepsOf({ ...wish, colours: { ...wish.colours, b: { name: 'Kelp Jar', hex: '#2f4a3c' } } })
    expect(worked(edits, other).some(({ step }) => step.operation === 'scuff')).toBe(false)
  })
  test('minutes, amount and wait are the painter’s, and it is said that they are', () => {
    const at = planned.findIndex(({ operation }) => operation === 'coat')
    const edits = { ...noEdits, changes: { [keys[at] ?? '']: { minutes: 44, amount: 120, wait: 300 } } }
    const step = worked(edits)[at]?.step
    expect(step).toMatchObject({ minutes: 44, amount: 120, changed: true })
    expect(step?.window).toMatchObject({ opens: [300, 300], source: 'painter' })
    // nothing is laid where nothing is
    const clean = keys[planned.findIndex(({ amount }) => amount === null)] ?? ''
    expect(worked({ ...noEdits, changes: { [clean]: { amount: 50 } } })[keys.indexOf(clean)]?.step.amount).toBeNull()
  })
  test('a step of one’s own stands where it was put, in its words, and a step once more is the same again', () => {
    const [first] = worked({ ...noEdits, own: [own()] })
    expect(first?.step).toMatchObject({ operation: 'own', words: 'Number the drawers', minutes: 12, own: 'mine' })
    const coat = keys[planned.findIndex(({ operation }) => operation === 'coat')] ?? ''
    const twice = worked({ ...noEdits, own: [own({ like: coat, at: { after: coat, before: null } })] })
    const at = twice.findIndex(({ key }) => key === 'mine')
    expect(twice[at - 1]?.key).toBe(coat)
    expect(twice[at]?.step).toMatchObject({ operation: 'coat', family: 'clay', amount: twice[at - 1]?.step.amount, coat: null })
    // what it was like has gone, and so has it
    expect(worked({ ...noEdits, own: [own({ like: 'gone' })] })).toHaveLength(planned.length)
  })
  test('where lead may be, sanding of one’s own says so as any other does', () => {
    const sand = { ...noEdits, own: [own({ operation: 'sand', words: null })] }
    const old = { ...part, existing: 'oil-paint' as const, lead: 'suspected' as const }
    const on = (facts: FinishablePart) =>
      workedSteps(editedSteps(planned, sand), sand, facts, defaultMethod, []).find(({ key }) => key === 'mine')?.step.cautions
    expect([on(part), on(old)]).toEqual([['dust'], ['lead', 'dust']])
  })
  test('a place is found by what stands there: after one, else before the other, else last', () => {
    const [a = '', b = ''] = keys
    expect(spotAt(keys, 1)).toEqual({ after: a, before: b })
    const at = (spot: OwnStep['at']) => worked({ ...noEdits, own: [own({ at: spot })] }).findIndex(({ key }) => key === 'mine')
    expect([at({ after: a, before: b }), at({ after: 'gone', before: b }), at({ after: 'gone', before: 'gone' })]).toEqual([
      1,
      1,
      planned.length,
    ])
  })
  test('whatever is left out, moved and put in: every step once, none lost that was not left out', () => {
    const anyKey = fc.constantFrom(...keys)
    const edits = fc.record({
      left: fc.uniqueArray(anyKey, { maxLength: 4 }),
      moves: fc.array(fc.record({ key: anyKey, to: fc.record({ after: fc.option(anyKey), before: fc.option(anyKey) }) }), {
        maxLength: 8,
      }),
      changes: fc.dictionary(anyKey, fc.record({ minutes: fc.integer({ min: 1, max: 90 }) }), { maxKeys: 4 }),
      own: fc.uniqueArray(
        fc
          .record({ id: fc.constantFrom('mine', 'two', 'three'), after: fc.option(anyKey) })
          .map(({ id, after }) => own({ id, at: { after, before: null } })),
        { selector: ({ id }) => id },
      ),
    })
    fc.assert(
      fc.property(edits, (made) => {
        const shown = editedSteps(planned, made).map(({ key }) => key)
        expect([...shown].sort()).toEqual([...keys, ...made.own.map(({ id }) => id)].sort())
        expect(worked(made)).toHaveLength(shown.length - made.left.length)
      }),
    )
  })
})
