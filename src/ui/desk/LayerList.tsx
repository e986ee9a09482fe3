'use client'
/**
 * The layers in words, the top one first as they lie: each changed, moved, doubled, split or taken out in its place, a new one put
 * between any two; what the rules put in stands between them in small.
 */
import { Plus } from 'lucide-react'
import { type MouseEvent, useEffect, useState } from 'react'
import type { SubstrateKind } from '@/core/craft/parts'
import { familiesFor } from '@/core/craft/takes'
import type { DeskAct } from '@/core/desk/desk'
import type { DeskTin } from '@/core/desk/state'
import type { DeskStratum } from '@/core/desk/strata'
import type { FinishRefusal } from '@/core/finish/refusal'
import type { Touch } from '@/core/finish/touch'
import type { TouchEdit } from '@/core/finish/touchList'
import type { FinishablePart } from '@/core/finish/wish'
import { useTapGuard } from '@/ui/form/useTapGuard'
import { whyNot } from '@/words/plan'
import { stratumWords } from '@/words/strata'
import { touchTitle } from '@/words/touch'
import { AddedLines } from './AddedLines'
import { LayerRow } from './LayerRow'

interface Props {
  strata: readonly DeskStratum[]
  touches: readonly Touch[]
  facts: FinishablePart
  tins: readonly DeskTin[]
  refusal: FinishRefusal | null
  /** what can't be read, by its place: "touches.2.colour.name" */
  troubles: Readonly<Record<string, string>>
  selected: string | null
  select: (id: string | null) => void
  act: (act: DeskAct) => void
  edit: (edit: TouchEdit) => void
  /** a new layer at this place of the list, opened; its id */
  insert: (at: number) => string
  newId: () => string
}

/** A layer put in: the one it goes over once more, in its product and colour. */
export function freshTouch(id: string, below: Touch | undefined, kind: SubstrateKind): Omit<Touch, 'by'> {
  const colour = below?.colour ?? { name: 'New colour', hex: '#9a8f80' }
  const operation = kind === 'fabric' ? 'fabric-coat' : 'coat'
  const families = familiesFor(operation, kind)
  const family = below?.family && families.includes(below.family) ? below.family : families[0]
  return { id, operation, family, colour, repeat: 1 }
}

/** Of one layer, by its own fields. */
const troublesAt = (at: number, troubles: Readonly<Record<string, string>>): Record<string, string> =>
  Object.fromEntries(
    Object.entries(troubles).flatMap(([path, message]) =>
      path.startsWith(`touches.${at}.`) ? [[path.slice(`touches.${at}.`.length), message]] : [],
    ),
  )

export function LayerList({
  strata,
  touches,
  facts,
  tins,
  refusal,
  troubles,
  selected,
  select,
  act,
  edit,
  insert,
  newId,
}: Props) {
  const { guard, stir } = useTapGuard()
  // what was pressed may have gone or moved: the keys go on from where it is now
  const [focused, setFocused] = useState<{ id: string } | null>(null)
  useEffect(() => {
    if (focused) document.getElementById(focused.id)?.focus()
  }, [focused])
  const putIn = (at: number) => {
    setFocused({ id: `layer-${insert(at)}` })
  }
  const press = (action: () => void) =>
    guard(() => {
      stir()
      action()
    })
  return (
    <ol aria-label="Layers, the top one first">
      {[...strata].reverse().map((stratum) => {
        if (stratum.is === 'added')
          return (
            <li key={stratum.id}>
              <AddedLines added={stratum} act={act} />
            </li>
          )
        if (stratum.is !== 'touch')
          return (
            <li
              key={stratum.id}
              className="flex min-h-12 items-center border-l-[1.25rem] bg-well/60 px-4 py-2 text-soft"
              style={{ borderColor: stratum.drawn.tone }}
            >
              {stratumWords(stratum)}
            </li>
          )
        const { touch, at } = stratum
        return (
          <li key={touch.id}>
            <AddHere label={`Put a layer over ${touchTitle(touch)}`} {...press(() => putIn(at + 1))} />
            <LayerRow
              touch={touch}
              at={at}
              all={touches}
              facts={facts}
              tins={tins}
              isOpen={selected === touch.id}
              toggle={guard(() => select(selected === touch.id ? null : touch.id))}
              edit={edit}
              newId={newId}
              why={refusal?.touch === touch.id ? whyNot(refusal) : null}
              conflicts={stratum.conflicts}
              troubles={troublesAt(at, troubles)}
              press={press}
              moved={() => setFocused({ id: `layer-${touch.id}` })}
              removed={() => setFocused({ id: 'desk-undo' })}
            />
          </li>
        )
      })}
      <li>
        <AddHere label="Put a layer below all" {...press(() => putIn(0))} />
      </li>
    </ol>
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
