'use client'
/** One layer of the painter's own list: what it is in a line, and opened the sheet to change it. */
import { ArrowDown, ArrowUp } from 'lucide-react'
import { v7 as uuidv7 } from 'uuid'
import { laysColour } from '@/core/craft/operations'
import type { SubstrateKind } from '@/core/craft/parts'
import type { Touch } from '@/core/finish/touch'
import type { TouchEdit } from '@/core/finish/touchList'
import type { Calm } from '@/ui/form/useTapGuard'
import { touchFacts, touchTitle } from '@/words/touch'
import { LayerSheet } from './LayerSheet'
import type { DeskTin } from './planPart'

interface Props {
  touch: Touch
  at: number
  all: readonly Touch[]
  kind: SubstrateKind
  tins: readonly DeskTin[]
  isOpen: boolean
  toggle: ReturnType<Calm['guard']>
  edit: (edit: TouchEdit) => void
  /** why it can't be had */
  why: string | null
  troubles: Readonly<Record<string, string>>
  press: Calm['guard']
  moved: () => void
  removed: () => void
}

export function LayerRow({ touch, at, all, kind, tins, isOpen, toggle, edit, why, troubles, press, moved, removed }: Props) {
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
        className="grid min-h-14 cursor-pointer grid-cols-[1fr_auto] items-center gap-x-3 px-4 py-2"
        onClick={(event) => {
          event.preventDefault()
          toggle.onClick(event)
        }}
      >
        <span>
          <span className="block text-lg font-semibold leading-tight">{title}</span>
          <span className="text-soft">{touchFacts(touch, all)}</span>
          {wrong && <span className="block font-semibold text-late">{wrong}</span>}
        </span>
        <span aria-hidden className="text-sm font-semibold underline">
          {isOpen ? 'Shut' : 'Change'}
        </span>
      </summary>
      {isOpen && (
        <>
          <LayerSheet touch={touch} below={all.slice(0, at)} kind={kind} tins={tins} edit={edit} troubles={troubles} />
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
            <button type="button" className="press" {...press(() => edit({ kind: 'double', id, newId: uuidv7() }))}>
              Once more
            </button>
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
