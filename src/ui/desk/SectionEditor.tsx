'use client'
/**
 * The finish as it is made: a sawn edge with its hollow, its flat and its arris. A layer is tapped to be changed, pulled to another
 * place, moved by keys; hairlines are what the rules put in.
 */
import { type KeyboardEvent, useMemo, useState } from 'react'
import { getSubstrate } from '@/core/craft/parts'
import type { DeskStratum } from '@/core/desk/strata'
import type { TouchEdit } from '@/core/finish/touchList'
import type { FinishablePart } from '@/core/finish/wish'
import { profileOf } from '@/ui/drawing/strata'
import { placeWords } from '@/words/where'
import { Grain, PutHere, StratumPath } from './StratumPath'
import { thickOf } from './thickness'
import { useDrag } from './useDrag'
import { useNarrow } from './useNarrow'

export interface SectionEditorProps {
  facts: FinishablePart
  strata: readonly DeskStratum[]
  selected: string | null
  /** layers that can't be had */
  wrong: ReadonlySet<string>
  open: (id: string) => void
  edit: (edit: TouchEdit) => void
  /** a new layer at this place of the list */
  insert: (at: number) => unknown
  /** a layer is held over this place of the list; null when it is put down */
  hover: (at: { id: string; to: number } | null) => void
  newId: () => string
}

/** The strata with a layer of the list put at another place of it. */
function moved(strata: readonly DeskStratum[], id: string, to: number): readonly DeskStratum[] {
  const own = strata.find((each) => each.id === id)
  if (own?.is !== 'touch') return strata
  const rest = strata.filter((each) => each !== own)
  const others = rest.flatMap((each, k) => (each.is === 'touch' ? [k] : []))
  const at = others[to] ?? (others.at(-1) ?? rest.length - 1) + 1
  return rest.toSpliced(at, 0, own)
}

/** Of more layers than these each shift is a hair, and drawing all of them anew for each frame of it takes longer than a frame. */
const mostInMotion = 16

const label = 'fill-white text-[15px] font-bold'
/** Read on any colour. */
const halo = { pointerEvents: 'none', style: { paintOrder: 'stroke' }, stroke: '#2b211a', strokeWidth: 3.5 } as const

export function SectionEditor({ facts, strata, selected, wrong, open, edit, insert, hover, newId }: SectionEditorProps) {
  const [focused, setFocused] = useState<string | null>(null)
  const shape = useNarrow() ? 'narrow' : 'wide'
  const still = useMemo(() => profileOf(strata.map(thickOf), shape, 120), [strata, shape])
  const touches = strata.flatMap((each, k) =>
    each.is === 'touch' ? [{ id: each.id, at: each.at, ...(still.laid[k] ?? { upper: 0, lower: 0 }) }] : [],
  )
  const placeAt = (y: number, id: string) => touches.filter((each) => each.id !== id && (each.upper + each.lower) / 2 > y).length
  const { svg, drag, press } = useDrag({
    placeAt,
    tap: open,
    drop: (id, to) => edit({ kind: 'move', id, to }),
    hover,
  })
  const shown = useMemo(() => (drag ? moved(strata, drag.id, drag.to) : strata), [strata, drag?.id, drag?.to]) // eslint-disable-line react-hooks/exhaustive-deps
  const profile = useMemo(
    () => (shown === strata ? still : profileOf(shown.map(thickOf), shape, 120)),
    [shown, strata, still, shape],
  )
  const { tone, wood, words } = getSubstrate(facts.substrate)
  const reach = (id: string | undefined) => {
    if (id === undefined) return
    setFocused(id)
    svg.current?.querySelector<SVGElement>(`[data-layer="${CSS.escape(id)}"]`)?.focus()
  }
  const keys = (stratum: DeskStratum) => (event: KeyboardEvent) => {
    const at = touches.findIndex(({ id }) => id === stratum.id)
    const acts: Record<string, () => void> = {
      Enter: () => open(stratum.id),
      ' ': () => open(stratum.id),
      ArrowUp: () => (event.shiftKey ? edit({ kind: 'move', id: stratum.id, to: at + 1 }) : reach(touches[at + 1]?.id)),
      ArrowDown: () => (event.shiftKey ? edit({ kind: 'move', id: stratum.id, to: at - 1 }) : reach(touches[at - 1]?.id)),
      Delete: () => {
        reach(touches[at - 1]?.id ?? touches[at + 1]?.id)
        edit({ kind: 'remove', id: stratum.id })
      },
      d: () => edit({ kind: 'double', id: stratum.id, newId: newId() }),
    }
    const act = acts[event.key]
    if (!act || event.ctrlKey || event.metaKey || event.altKey) return
    event.preventDefault()
    event.stopPropagation()
    act()
  }
  const moves = drag !== null && touches.length <= mostInMotion
  const chosen = touches.find(({ id }) => id === selected)
  const tabbed = touches.find(({ id }) => id === (focused ?? selected)) ?? touches.at(-1)
  return (
    <svg
      ref={svg}
      viewBox={`0 0 ${profile.width} ${profile.height}`}
      role="group"
      aria-label={`The finish, sawn through, on ${words}. Arrows go from layer to layer, with shift they move it; Enter changes it, D lays it once more, Delete takes it out.`}
      preserveAspectRatio="xMinYMax meet"
      className={`max-h-[36vh] w-full select-none overflow-visible ${drag ? 'will-change-transform' : ''}`}
    >
      {shown.map((stratum, k) => {
        const laid = profile.laid[k]
        if (!laid) return null
        const pulled = drag?.id === stratum.id
        return (
          <g key={stratum.id} className={moves ? 'stratum-moves' : undefined}>
            <StratumPath
              stratum={stratum}
              laid={laid}
              joint={profile.laid[k - 1]?.top ?? laid.top}
              isSelected={selected === stratum.id}
              isWrong={wrong.has(stratum.id)}
              isPulled={pulled}
              pressed={{
                onPointerDown: press(stratum.id),
                onKeyDown: keys(stratum),
                onFocus: () => setFocused(stratum.id),
                tabIndex: stratum.id === tabbed?.id ? 0 : -1,
              }}
            />
          </g>
        )
      })}
      <path d={profile.ground} fill={tone} stroke="var(--ink)" strokeOpacity="0.5" strokeWidth="1.2" pointerEvents="none" />
      {wood && <Grain height={profile.height} ground={profile.ground} />}
      {touches.map(({ id, at, upper, lower }) =>
        lower - upper > 13 && !drag ? (
          <text key={id} x={profile.centres.field} y={(upper + lower) / 2 + 4.5} textAnchor="middle" className={label} {...halo}>
            {at + 1}
          </text>
        ) : null,
      )}
      {!drag && chosen && (
        <>
          <PutHere y={chosen.upper} label="Put a layer over it" press={() => insert(chosen.at + 1)} />
          <PutHere y={chosen.lower} label="Put a layer under it" press={() => insert(chosen.at)} />
        </>
      )}
      <g {...halo} className={label}>
        {(['recesses', 'field', 'edges'] as const).map((place) => (
          <text key={place} x={profile.centres[place] - (place === 'edges' ? 26 : 0)} y={profile.height - 10} textAnchor="middle">
            {placeWords[place]}
          </text>
        ))}
      </g>
    </svg>
  )
}
