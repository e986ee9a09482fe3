'use client'
/**
 * The painter's own layers, the top one first as they lie: each changed, moved, doubled or taken out in its place, a new one put
 * between any two; what the engine adds before a layer stands under it in small.
 */
import { Plus, Redo2, Undo2 } from 'lucide-react'
import { type MouseEvent, useEffect, useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import type { SubstrateKind } from '@/core/craft/parts'
import { familiesFor } from '@/core/craft/takes'
import type { FinishRefusal } from '@/core/finish/refusal'
import type { PlannedStep } from '@/core/finish/step'
import type { Touch } from '@/core/finish/touch'
import type { TouchDraft } from '@/core/finish/touchList'
import { useTapGuard } from '@/ui/form/useTapGuard'
import { stepTitle } from '@/words/craft'
import { whyNot } from '@/words/plan'
import { touchTitle } from '@/words/touch'
import { LayerRow } from './LayerRow'
import type { DeskTin } from './planPart'
import type { OwnLayers } from './useOwnLayers'

interface Props {
  layers: OwnLayers
  draft: TouchDraft
  kind: SubstrateKind
  tins: readonly DeskTin[]
  /** what is planned of it, to show what is added between */
  steps: readonly PlannedStep[]
  refusal: FinishRefusal | null
  /** what can't be read, by its place: "touches.2.colour.name" */
  troubles: Readonly<Record<string, string>>
}

/** A layer put in: the one it goes over once more, in its product and colour. */
function fresh(id: string, below: Touch | undefined, kind: SubstrateKind): Omit<Touch, 'by'> {
  const colour = below?.colour ?? { name: 'New colour', hex: '#9a8f80' }
  const operation = kind === 'fabric' ? 'fabric-coat' : 'coat'
  const families = familiesFor(operation, kind)
  const family = below?.family && families.includes(below.family) ? below.family : families[0]
  return { id, operation, family, colour, repeat: 1 }
}

/** What the rules put in before each layer, in order; under its id. */
function addedBefore(steps: readonly PlannedStep[]): Map<string, string[]> {
  const added = new Map<string, string[]>()
  let waiting: string[] = []
  for (const step of steps) {
    if (!step.touch) waiting.push(stepTitle(step).toLowerCase())
    else {
      if (waiting.length > 0 && !added.has(step.touch)) added.set(step.touch, waiting)
      waiting = []
    }
  }
  return added
}

/** Of one layer, by its own fields. */
const troublesAt = (at: number, troubles: Readonly<Record<string, string>>): Record<string, string> =>
  Object.fromEntries(
    Object.entries(troubles).flatMap(([path, message]) =>
      path.startsWith(`touches.${at}.`) ? [[path.slice(`touches.${at}.`.length), message]] : [],
    ),
  )

export function LayerList({ layers, draft, kind, tins, steps, refusal, troubles }: Props) {
  const { touches } = draft
  const [open, setOpen] = useState<string | null>(null)
  const { guard, stir } = useTapGuard()
  // what was pressed may have gone or moved: the keys go on from where it is now
  const [focused, setFocused] = useState<{ id: string } | null>(null)
  useEffect(() => {
    if (focused) document.getElementById(focused.id)?.focus()
  }, [focused])
  const added = addedBefore(steps)
  const insert = (at: number) => {
    const id = uuidv7()
    layers.edit({ kind: 'add', at, touch: fresh(id, touches[at - 1], kind) })
    setOpen(id)
    setFocused({ id: `layer-${id}` })
  }
  const press = (act: () => void) =>
    guard(() => {
      stir()
      act()
    })
  return (
    <section aria-labelledby="layers">
      <div className="flex flex-wrap items-end justify-between gap-3">
        <div>
          <h2 id="layers" className="title text-3xl">
            Your own layers
          </h2>
          <p className="text-soft">The top one first, as they lie. What they need between them is put in by itself.</p>
        </div>
        <div className="flex gap-2">
          <button
            id="layers-undo"
            type="button"
            className="press px-3"
            aria-label="Undo"
            disabled={draft.past.length === 0}
            onClick={layers.undo}
          >
            <Undo2 aria-hidden size={20} />
          </button>
          <button
            type="button"
            className="press px-3"
            aria-label="Do it again"
            disabled={draft.future.length === 0}
            onClick={layers.redo}
          >
            <Redo2 aria-hidden size={20} />
          </button>
          <button type="button" className="press" onClick={layers.layAside}>
            Back to a look
          </button>
        </div>
      </div>
      <ol className="mt-4" aria-label="Layers, the top one first">
        {touches
          .map((touch, at) => ({ touch, at }))
          .reverse()
          .map(({ touch, at }) => (
            <li key={touch.id}>
              <AddHere label={`Put a layer over ${touchTitle(touch)}`} {...press(() => insert(at + 1))} />
              <LayerRow
                touch={touch}
                at={at}
                all={touches}
                kind={kind}
                tins={tins}
                isOpen={open === touch.id}
                toggle={guard(() => setOpen(open === touch.id ? null : touch.id))}
                edit={layers.edit}
                why={refusal?.touch === touch.id ? whyNot(refusal) : null}
                troubles={troublesAt(at, troubles)}
                press={press}
                moved={() => setFocused({ id: `layer-${touch.id}` })}
                removed={() => setFocused({ id: 'layers-undo' })}
              />
              {added.has(touch.id) && (
                <p className="border-l-[1.25rem] border-transparent py-1 pl-4 text-sm text-soft">
                  before it: {added.get(touch.id)?.join(', ')}
                </p>
              )}
            </li>
          ))}
        <li>
          <AddHere label="Put a layer below all" {...press(() => insert(0))} />
        </li>
      </ol>
    </section>
  )
}

function AddHere({
  label,
  ...guarded
}: {
  label: string
  onClick: (event: MouseEvent) => void
  'aria-disabled': true | undefined
}) {
  return (
    <button
      type="button"
      aria-label={label}
      {...guarded}
      className="flex min-h-12 w-full items-center gap-3 text-soft hover:text-ink focus-visible:text-ink pointer-fine:min-h-8"
    >
      <span aria-hidden className="h-px flex-1 bg-line" />
      <Plus aria-hidden size={20} />
      <span aria-hidden className="h-px flex-1 bg-line" />
    </button>
  )
}
