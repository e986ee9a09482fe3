import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { lookCodes } from '@/core/craft/looks'
import { defaultMethod } from '@/core/craft/method'
import { topcoatCodes } from '@/core/craft/topcoats'
import type { FinishablePart } from '@/core/finish/wish'
import { beginHistory, redo, undo } from '@/core/measure/history'
import { replan } from '@/core/plan/replan'
import { beginDesk } from './begin'
import { type DeskAct, deskAfter, methodOf, onDesk, wishOf } from './desk'
import { keepDraft, readDraft } from './draft'
import type { DeskAround, DeskState } from './state'
import { deskSteps } from './steps'
import { strataOf } from './strata'

const facts: FinishablePart = { substrate: 'close-grained', existing: 'varnish', lead: 'clear', use: 'light', areaM2: 1 }
const tins = [
  { family: 'clay', name: 'Kelp Jar', hex: '#2f4a3c' },
  { family: 'clay', name: 'Kiln Dusk', hex: '#b06a4a' },
  { family: 'chalk-mineral', name: 'Tarn Glass', hex: '#5d7f86' },
] as const
const around: DeskAround = { facts, tins, method: defaultMethod }
const begun = beginDesk(facts, null, tins)
const after = (state: DeskState, ...acts: DeskAct[]) => acts.reduce((now, act) => deskAfter(now, act, around), state)

describe('the desk begins', () => {
  test('with what the material allows and the tins that are there', () => {
    expect(begun).toMatchObject({ look: 'smooth-solid', paint: 'chalk-mineral', touches: null })
    expect(begun.colours.a.name).toBe('Tarn Glass')
    expect(beginDesk({ ...facts, substrate: 'fabric' }, null, tins).look).not.toBe('smooth-solid')
  })
  test('with the plan in force, all of it; what is done of the painter’s own is not asked for again', () => {
    const mine = {
      at: { after: null, before: null },
      like: null,
      operation: 'own',
      words: 'Look',
      minutes: 5,
      check: null,
    } as const
    const before = {
      id: 'plan',
      look: 'light-distress',
      with: ['aged-wax'],
      paint: 'clay',
      colours: { a: { name: 'Kiln Dusk', hex: '#b06a4a' } },
      seal: 'wax',
      departures: { wax: 'same-day' },
      edits: {
        left: ['x'],
        moves: [],
        changes: {},
        own: [
          { ...mine, id: 'one' },
          { ...mine, id: 'two' },
        ],
      },
    } as unknown as Parameters<typeof beginDesk>[1]
    const desk = beginDesk(facts, before, tins, ['one'])
    expect(desk).toMatchObject({ look: 'light-distress', extras: ['aged-wax'], paint: 'clay', seal: 'wax' })
    expect(desk.colours.a.name).toBe('Kiln Dusk')
    expect(desk.edits.left).toEqual(['x'])
    expect(desk.edits.own.map(({ id }) => id)).toEqual(['two'])
  })
})

describe('acts', () => {
  test('a look takes the paint it can be had in, lays an own list aside, and drops what can’t lie over it', () => {
    const own = after(begun, { kind: 'paint', to: 'clay' }, { kind: 'own' })
    expect(own.colours).toMatchObject({ a: { name: 'Kelp Jar' }, b: { name: 'Kiln Dusk' } })
    const other = after(own, { kind: 'look', to: 'chippy-casein' })
    expect(other.touches).toBeNull()
    expect(other.aside).toBe(own.touches)
    expect(wishOf(other).paint).toBe('casein')
    expect(after(other, { kind: 'take-up' }).touches).toBe(own.touches)
  })
  test('a layer that is tapped in a look makes the list the painter’s, and is changed at once', () => {
    const list = after(begun, { kind: 'own' }).touches ?? []
    const id = list[0]?.id ?? ''
    const doubled = after(begun, { kind: 'own', then: { kind: 'double', id, newId: 'again' } })
    expect(doubled.touches?.map((touch) => touch.id)).toContain('again')
    expect(doubled.touches).toHaveLength(list.length + 1)
  })
  test('what changes nothing is no change', () => {
    for (const act of [
      { kind: 'take-up' },
      { kind: 'lay-aside' },
      { kind: 'touch', edit: { kind: 'remove', id: 'gone' } },
    ] as const)
      expect(deskAfter(begun, act, around)).toBe(begun)
  })
  test('a change set back to as planned is none', () => {
    const set = after(begun, { kind: 'change-step', key: 'k', over: { minutes: 12 } })
    expect(set.edits.changes).toEqual({ k: { minutes: 12 } })
    expect(after(set, { kind: 'change-step', key: 'k', over: { minutes: undefined } }).edits.changes).toEqual({})
  })
})

const anyAct = fc.oneof(
  fc.record({ kind: fc.constant('look' as const), to: fc.constantFrom(...lookCodes) }),
  fc.record({ kind: fc.constant('paint' as const), to: fc.constantFrom('clay' as const, 'casein' as const, 'latex' as const) }),
  fc.record({ kind: fc.constant('seal' as const), to: fc.option(fc.constantFrom(...topcoatCodes)) }),
  fc.record({
    kind: fc.constant('over' as const),
    look: fc.constantFrom('aged-wax' as const, 'gilded-edges' as const),
    on: fc.boolean(),
  }),
  fc.record({
    kind: fc.constant('colour' as const),
    slot: fc.constantFrom('a' as const, 'b' as const),
    to: fc.record({ name: fc.string(), hex: fc.constantFrom('#2f4a3c', '#e3d7bd') }),
  }),
  fc.constantFrom<DeskAct>({ kind: 'own' }, { kind: 'take-up' }, { kind: 'lay-aside' }, { kind: 'as-planned' }),
  fc
    .record({ which: fc.nat(9), to: fc.nat(9), how: fc.constantFrom('move', 'double', 'split', 'remove') })
    .map((edit) => ({ kind: 'any-touch' as const, edit })),
  fc.record({ kind: fc.constant('leave' as const), key: fc.constantFrom('p', 'q', 'r'), out: fc.boolean() }),
  fc.record({
    kind: fc.constant('change-step' as const),
    key: fc.constantFrom('p', 'q'),
    over: fc.record({ minutes: fc.option(fc.integer({ min: 1, max: 99 }), { nil: undefined }) }),
  }),
)
type AnyAct = typeof anyAct extends fc.Arbitrary<infer T> ? T : never
function actOf(state: DeskState, act: AnyAct, n: number): DeskAct {
  if (act.kind !== 'any-touch') return act
  const id = state.touches?.[act.edit.which % state.touches.length]?.id ?? ''
  const { how, to } = act.edit
  if (how === 'move') return { kind: 'touch', edit: { kind: 'move', id, to } }
  if (how === 'remove') return { kind: 'touch', edit: { kind: 'remove', id } }
  return { kind: 'touch', edit: { kind: how, id, newId: `new-${n}` } }
}

describe('its history', () => {
  test('a thousand acts undone come back to where they began, and done again to where they were', () => {
    fc.assert(
      fc.property(fc.array(anyAct, { minLength: 1000, maxLength: 1000 }), (acts) => {
        const made = acts.reduce((desk, act, n) => onDesk(desk, actOf(desk.now, act, n), around), beginHistory(begun))
        let back = made
        while (back.past.length > 0) back = undo(back)
        expect(back.now).toBe(begun)
        while (back.future.length > 0) back = redo(back)
        expect(back.now).toBe(made.now)
      }),
      { numRuns: 3 },
    )
  })
  test('letters of a name are undone as one, a tin is a change of its own', () => {
    const typed = ['T', 'Ta', 'Tar'].reduce(
      (desk, name) => onDesk(desk, { kind: 'colour', slot: 'a', to: { ...desk.now.colours.a, name } }, around),
      beginHistory(begun),
    )
    expect(typed.past).toHaveLength(1)
    const tin = onDesk(typed, { kind: 'colour', slot: 'a', to: { name: 'Kelp Jar', hex: '#2f4a3c' } }, around)
    expect(tin.past).toHaveLength(2)
  })
  test('wherever it is taken, it is a plan or says why not, and the draft of it is read back as it was', () => {
    fc.assert(
      fc.property(fc.array(anyAct, { maxLength: 12 }), (acts) => {
        const { now } = acts.reduce((desk, act, n) => onDesk(desk, actOf(desk.now, act, n), around), beginHistory(begun))
        expect(readDraft(keepDraft(now, 'plan'), 'plan')).toEqual(JSON.parse(JSON.stringify(now)))
        expect(readDraft(keepDraft(now, 'plan'), 'another')).toBeNull()
        const wish = wishOf(now)
        const outcome = replan(facts, wish, [], methodOf(now, defaultMethod))
        expect('steps' in outcome || outcome.refusal.code).toBeTruthy()
      }),
      { numRuns: 40 },
    )
    expect(readDraft('{"plan":null', null)).toBeNull()
    expect(readDraft('{"plan":null,"state":{"look":"none"}}', null)).toBeNull()
  })
})

describe('the layers as they are drawn', () => {
  const drawn = (state: DeskState) => {
    const wish = wishOf(state)
    const outcome = replan(facts, wish, [], defaultMethod)
    const planned = 'steps' in outcome ? outcome.steps : []
    const { steps, at } = deskSteps(planned, state.edits, { facts, wish, method: defaultMethod, done: [] })
    return { strata: strataOf({ facts, touches: state.touches ?? [], done: [], steps, at }), steps }
  }
  const own = after(begun, { kind: 'paint', to: 'clay' }, { kind: 'look', to: 'two-colour-distress' }, { kind: 'own' })
  test('the old finish lowest, each touch once, every added step between them once', () => {
    const { strata, steps } = drawn(own)
    expect(strata[0]).toMatchObject({ is: 'under', id: 'old' })
    expect(strata.flatMap((each) => (each.is === 'touch' ? [each.id] : []))).toEqual(own.touches?.map(({ id }) => id))
    const added = strata.flatMap((each) => (each.is === 'added' ? each.steps.map(({ key }) => key) : []))
    expect(new Set(added).size).toBe(added.length)
    expect(added.sort()).toEqual(steps.flatMap(({ key, step }) => (step.touch ? [] : [key])).sort())
  })
  test('a thin clear that keeps two colours apart is a layer, a scuff is a hairline', () => {
    const { strata } = drawn(own)
    const added = strata.flatMap((each) => (each.is === 'added' ? [each] : []))
    expect(added.find(({ steps }) => steps[0]?.step.operation === 'seal-between')?.drawn?.kind).toBe('clear')
    expect(added.find(({ steps }) => steps.some(({ step }) => step.operation === 'scuff'))?.drawn).toBeNull()
  })
  test('wear goes down to the layer that it is meant to reach', () => {
    const { strata } = drawn(own)
    const wear = strata.findIndex((each) => each.is === 'touch' && each.wears > 0)
    const found = strata[wear]
    if (found?.is !== 'touch') throw new Error('nothing is worn')
    const lowest = strata[wear - 1 - found.wears]
    expect(lowest).toMatchObject({ is: 'touch', touch: { operation: 'coat' } })
    // to the wood: everything that was laid
    const toWood = after(own, { kind: 'touch', edit: { kind: 'change', id: found.id, over: { wearTo: 'ground' } } })
    const deep = drawn(toWood).strata
    const at = deep.findIndex(({ id }) => id === found.id)
    expect(deep[at]).toMatchObject({ wears: at - 1 })
  })
})
