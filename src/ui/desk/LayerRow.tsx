'use client'
/** One layer of the painter's own list: what it is in a line, and opened the sheet to change it. */
import { ArrowDown, ArrowUp } from 'lucide-react'
import { laysColour } from '@/core/craft/operations'
import type { DeskTin } from '@/core/desk/state'
import type { Touch } from '@/core/finish/touch'
import { splitOf, type TouchEdit } from '@/core/finish/touchList'
import type { FinishablePart } from '@/core/finish/wish'
import type { Conflict } from '@/core/stack/checkStack'
import type { Calm } from '@/ui/form/useTapGuard'
import { ConflictLine } from '@/ui/plan/ConflictLine'
import { touchFacts, touchTitle } from '@/words/touch'
import { LayerSheet } from './LayerSheet'

interface Props {
  touch: Touch
  at: number
  all: readonly Touch[]
  facts: FinishablePart
  tins: readonly DeskTin[]
  isOpen: boolean
  toggle: ReturnType<Calm['guard']>
  edit: (edit: TouchEdit) => void
  /** why it can't be had */
  why: string | null
  conflicts: readonly Conflict[]
  troubles: Readonly<Record<string, string>>
  newId: () => string
  press: Calm['guard']
  moved: () => void
  removed: () => void
}

export function LayerRow(props: Props) {
  const { touch, at, all, facts, tins, isOpen, toggle, edit, newId, why, conflicts, troubles, press, moved, removed } = props
  const { id } = touch
  const title = touchTitle(touch)
  const wrong = why ?? Object.values(troubles)[0]
  const move = (to: number) =>
    press(() => {
      edit({ kind: 'move', id, to })
      moved()
    })
  return (
    <details
      open={isOpen}
      className={`border-l-[1.25rem] bg-sheet ${wrong ? 'outline-3 outline-late' : ''}`}
      style={{ borderColor: laysColour(touch.operation) ? touch.colour?.hex : 'var(--color-line)' }}
    >
      <summary
        id={`layer-${id}`}
        className="grid min-h-14 scroll-mb-32 scroll-mt-[42vh] cursor-pointer grid-cols-[1fr_auto] items-center gap-x-3 px-4 py-2"
        onClick={(event) => {
          event.preventDefault()
          toggle.onClick(event)
        }}
      >
        <span>
          <span className="block text-lg font-semibold leading-tight">
            <span className="figure mr-2 text-soft">{at + 1}</span>
            {title}
          </span>
          <span className="text-soft">{touchFacts(touch, all)}</span>
          {wrong && <span className="block font-semibold text-late">{wrong}</span>}
          {conflicts.map((conflict) => (
            <ConflictLine key={conflict.code} conflict={conflict} />
          ))}
        </span>
        <span aria-hidden className="text-sm font-semibold underline">
          {isOpen ? 'Shut' : 'Change'}
        </span>
      </summary>
      {isOpen && (
        <>
          <LayerSheet
            touch={touch}
            below={all.slice(0, at)}
            facts={facts}
            tins={tins}
            edit={edit}
            newId={newId}
            troubles={troubles}
          />
          <div className="flex flex-wrap gap-2 px-4 pb-4">
            <button
              type="button"
              className="press px-3"
              aria-label={`Up: ${title}`}
              disabled={at === all.length - 1}
              {...move(at + 1)}
            >
              <ArrowUp aria-hidden size={20} />
            </button>
            <button type="button" className="press px-3" aria-label={`Down: ${title}`} disabled={at === 0} {...move(at - 1)}>
              <ArrowDown aria-hidden size={20} />
            </button>
            <button type="button" className="press" {...press(() => edit({ kind: 'double', id, newId: newId() }))}>
              Once more
            </button>
            {splitOf(touch) && (
              <button type="button" className="press" {...press(() => edit({ kind: 'split', id, newId: newId() }))}>
                Split it
              </button>
            )}
            <button
              type="button"
              className="press"
              disabled={all.length === 1}
              {...press(() => {
                edit({ kind: 'remove', id })
                removed()
              })}
            >
              Take it out
            </button>
          </div>
        </>
      )}
    </details>
  )
}
