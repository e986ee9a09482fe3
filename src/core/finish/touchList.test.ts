import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { defaultMethod } from '@/core/craft/method'
import { touches as touchesInput } from '@/core/input/touch'
import { beginHistory, goOn, type History, redo, undo } from '@/core/measure/history'
import type { Touch } from './touch'
import { editTouches, ownList, runningOf, type TouchEdit, touchOperations } from './touchList'

type Draft = History<readonly Touch[]>
const draftOf = (touches: readonly Touch[]): Draft => beginHistory(touches)
const editList = (draft: Draft, edit: TouchEdit): Draft => goOn(draft, editTouches(draft.now, edit), runningOf(edit))

const colours = { a: { name: 'Ferry Slate', hex: '#3d5661' }, b: { name: 'Oat Husk', hex: '#e3d7bd' } }
const list = ownList({ look: 'two-colour-distress', paint: 'clay', colours }, defaultMethod)
const ids = (draft: Draft) => draft.now.map(({ id }) => id)

const anyEdit = fc.oneof(
  fc.record({
    kind: fc.constant('add' as const),
    at: fc.integer({ min: 0, max: 12 }),
    operation: fc.constantFrom(...touchOperations),
  }),
  fc.record({ kind: fc.constant('change' as const), which: fc.nat(12), share: fc.constantFrom(0.3, 0.6, 1) }),
  fc.record({ kind: fc.constant('move' as const), which: fc.nat(12), to: fc.nat(12) }),
  fc.record({ kind: fc.constant('double' as const), which: fc.nat(12) }),
  fc.record({ kind: fc.constant('remove' as const), which: fc.nat(12) }),
)
type Any = typeof anyEdit extends fc.Arbitrary<infer T> ? T : never
const toEdit = (draft: Draft, edit: Any, n: number): TouchEdit => {
  if (edit.kind === 'add') return { kind: 'add', at: edit.at, touch: { id: `new-${n}`, operation: edit.operation } }
  const id = draft.now[edit.which % draft.now.length]?.id ?? ''
  if (edit.kind === 'change') return { kind: 'change', id, over: { where: { share: edit.share } } }
  if (edit.kind === 'move') return { kind: 'move', id, to: edit.to }
  if (edit.kind === 'double') return { kind: 'double', id, newId: `new-${n}` }
  return { kind: 'remove', id }
}

describe('a list under the hand', () => {
  test('a thousand edits undone come back to where they began, and done again to where they were', () => {
    fc.assert(
      fc.property(fc.array(anyEdit, { minLength: 1000, maxLength: 1000 }), (edits) => {
        const begun = draftOf(list)
        const made = edits.reduce((draft, edit, n) => editList(draft, toEdit(draft, edit, n)), begun)
        let back = made
        while (back.past.length > 0) back = undo(back)
        expect(back.now).toEqual(begun.now)
        let again = back
        while (again.future.length > 0) again = redo(again)
        expect(again.now).toEqual(made.now)
      }),
      { numRuns: 5 },
    )
  })
  test('whatever is done to it, names stay apart, and a wear goes to what lies below it: what is sent can be read', () => {
    fc.assert(
      fc.property(fc.array(anyEdit, { maxLength: 25 }), (edits) => {
        const made = edits.reduce((draft, edit, n) => editList(draft, toEdit(draft, edit, n)), draftOf(list))
        expect(new Set(ids(made)).size).toBe(made.now.length)
        if (made.now.length <= 40) expect(touchesInput.safeParse(made.now).success).toBe(true)
      }),
    )
  })
  test('what is touched is the painter’s; the rest is the look’s still', () => {
    const [first = ''] = list.map(({ id }) => id)
    const made = editList(draftOf(list), { kind: 'change', id: first, over: { film: 'heavy' } })
    expect(made.now.map(({ by }) => by === 'painter')).toEqual(list.map((_, k) => k === 0))
  })
  test('a layer that has gone is worn to no more, and one edit forgets what was undone', () => {
    const worn = draftOf([
      { id: 'one', operation: 'coat', by: 'painter' },
      { id: 'two', operation: 'coat', by: 'painter' },
      { id: 'wear', operation: 'dry-distress', wearTo: 'one', by: 'painter' },
    ])
    const without = editList(worn, { kind: 'remove', id: 'one' })
    expect(without.now.at(-1)?.wearTo).toBeUndefined()
    const back = undo(without)
    expect(back.now.at(-1)?.wearTo).toBe('one')
    expect(editList(back, { kind: 'double', id: 'two', newId: 'three' }).future).toEqual([])
  })
  test('what is typed letter by letter is undone as one; another layer, or another change, is undone by itself', () => {
    const two = draftOf([
      { id: 'one', operation: 'coat', by: 'painter' },
      { id: 'two', operation: 'coat', by: 'painter' },
    ])
    const type = (draft: Draft, id: string, name: string) =>
      editList(draft, { kind: 'change', id, over: { colour: { name, hex: '#3d5661' } }, running: true })
    const typed = ['T', 'Ta', 'Tar', 'Tarn'].reduce((draft, name) => type(draft, 'one', name), two)
    const other = type(typed, 'two', 'O')
    const film = editList(other, { kind: 'change', id: 'two', over: { film: 'thin' } })
    expect([typed.past.length, other.past.length, film.past.length]).toEqual([1, 2, 3])
    expect(undo(typed).now).toEqual(two.now)
    // begun again after an undo it is another change
    expect(type(undo(typed), 'one', 'K').past.length).toBe(1)
  })
  test('the last layer is not taken out, and what is not there changes nothing', () => {
    const one = draftOf([{ id: 'one', operation: 'coat', by: 'painter' }])
    expect(editList(one, { kind: 'remove', id: 'one' })).toBe(one)
    expect(editList(one, { kind: 'move', id: 'gone', to: 0 })).toBe(one)
  })
})
