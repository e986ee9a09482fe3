'use client'
/** The finish on the desk: drawn as the sawn edge it will be, the same in words beside it; either changes the other. */
import { Redo2, Undo2 } from 'lucide-react'
import { type Ref, useEffect, useImperativeHandle, useMemo, useRef, useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { kindOf } from '@/core/craft/parts'
import { moveAsks } from '@/core/desk/moveAsks'
import type { DeskTin } from '@/core/desk/state'
import { strataOf } from '@/core/desk/strata'
import { ownList, type TouchEdit } from '@/core/finish/touchList'
import type { PlanPart } from '@/ui/plan/planPart'
import type { Desk } from '@/ui/plan/useDesk'
import { moveWords } from '@/words/plan'
import { freshTouch, LayerList } from './LayerList'
import { SectionEditor } from './SectionEditor'

/** ms that a pulled layer rests over a place before it is said what it asks for there */
const rest = 90

export function Layers({ part, desk, tins }: { part: PlanPart; desk: Desk; tins: readonly DeskTin[] }) {
  const { state, act, facts, wish, method, steps, at, refusal, troubles, planned } = desk
  const [selected, setSelected] = useState<string | null>(null)
  const asks = useRef<Said>(null)
  const waiting = useRef(0)
  useEffect(() => () => window.clearTimeout(waiting.current), [])
  const isOwn = state.touches !== null
  const touches = useMemo(() => state.touches ?? ownList(wish, method), [state.touches, wish, method])
  const strata = useMemo(() => strataOf({ facts, touches, done: part.done, steps, at }), [facts, touches, part.done, steps, at])
  const edit = (change: TouchEdit) => act(isOwn ? { kind: 'touch', edit: change } : { kind: 'own', then: change })
  const open = (id: string) => {
    if (!isOwn) act({ kind: 'own' })
    setSelected(id)
    // the row is there when the list is
    window.requestAnimationFrame(() => document.getElementById(`layer-${id}`)?.scrollIntoView({ block: 'nearest' }))
  }
  const insert = (at: number) => {
    const id = uuidv7()
    edit({ kind: 'add', at, touch: freshTouch(id, touches[at - 1], kindOf(facts)) })
    setSelected(id)
    return id
  }
  const hover = (over: { id: string; to: number } | null) => {
    window.clearTimeout(waiting.current)
    if (!over) return asks.current?.say(null)
    waiting.current = window.setTimeout(
      () => asks.current?.say(moveWords(moveAsks({ facts, wish, method, done: part.done, planned, touches }, over.id, over.to))),
      rest,
    )
  }
  const wrong = new Set(refusal?.touch ? [refusal.touch] : [])
  return (
    <section aria-labelledby="layers">
      <div className="flex flex-wrap items-end justify-between gap-x-3 gap-y-1">
        <div className="flex-1 sm:basis-72">
          <h2 id="layers" className="title text-3xl">
            {isOwn ? 'Your own layers' : 'Its layers'}
          </h2>
          <p className="hidden text-soft sm:block">
            {isOwn
              ? 'Tap one to change it, pull it to another place. What they need between them is put in by itself.'
              : 'As the look has them. Tap one, or pull it, and they are your own.'}
          </p>
        </div>
        <Turns
          desk={desk}
          layAside={() => {
            setSelected(null)
            act({ kind: 'lay-aside' })
          }}
        />
      </div>
      {desk.found && (
        <p className="mt-3 flex flex-wrap items-center gap-x-4 border-l-4 border-now pl-3">
          <span>As you left it here, not yet taken.</span>
          <button type="button" className="press" onClick={desk.putDraftAway}>
            Put the draft away
          </button>
        </p>
      )}
      <div className="sticky top-0 z-10 -mx-1 mt-3 border-b border-line bg-ground px-1 pt-2">
        <SectionEditor
          facts={facts}
          strata={strata}
          selected={isOwn ? selected : null}
          wrong={wrong}
          open={open}
          edit={edit}
          insert={insert}
          hover={hover}
          newId={uuidv7}
        />
        <SaidLine ref={asks} />
      </div>
      {isOwn && (
        <LayerList
          strata={strata}
          touches={touches}
          facts={facts}
          tins={tins}
          refusal={refusal}
          troubles={troubles}
          selected={selected}
          select={setSelected}
          act={act}
          edit={edit}
          insert={insert}
          newId={uuidv7}
        />
      )}
    </section>
  )
}

interface Said {
  say: (words: string | null) => void
}
/** What a pulled layer asks for where it rests. Said by itself: nothing else is drawn anew for it. */
function SaidLine({ ref }: { ref: Ref<Said> }) {
  const [words, say] = useState<string | null>(null)
  useImperativeHandle(ref, () => ({ say }), [])
  return (
    <p role="status" className="min-h-6 text-sm text-soft">
      {words}
    </p>
  )
}

/** Back and on again, and from a look to layers of one's own and back. */
function Turns({ desk, layAside }: { desk: Desk; layAside: () => void }) {
  const { state, act, planned } = desk
  return (
    <div className="flex flex-wrap gap-2">
      <span className={desk.canUndo || desk.canRedo ? 'contents' : 'hidden sm:contents'}>
        <button
          id="desk-undo"
          type="button"
          className="press px-3"
          aria-label="Undo"
          disabled={!desk.canUndo}
          onClick={desk.undo}
        >
          <Undo2 aria-hidden size={20} />
        </button>
        <button type="button" className="press px-3" aria-label="Do it again" disabled={!desk.canRedo} onClick={desk.redo}>
          <Redo2 aria-hidden size={20} />
        </button>
      </span>
      {state.touches ? (
        <button type="button" className="press" onClick={layAside}>
          Back to a look
        </button>
      ) : (
        <>
          <button
            type="button"
            className="press px-3 sm:px-5"
            disabled={planned.length === 0}
            onClick={() => act({ kind: 'own' })}
          >
            Make the layers your own
          </button>
          {state.aside && (
            <button type="button" className="press" onClick={() => act({ kind: 'take-up' })}>
              Back to your own layers
            </button>
          )}
        </>
      )}
    </div>
  )
}
