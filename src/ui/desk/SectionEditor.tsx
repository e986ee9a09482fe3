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
import { layerFills, layerOverlays } from '@/ui/drawing/Section'
import { profileOf } from '@/ui/drawing/strata'
import { stratumWords } from '@/words/strata'
import { placeWords } from '@/words/where'
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
  const chosen = touches.find(({ id }) => id === selected)
  const tabbed = touches.find(({ id }) => id === (focused ?? selected)) ?? touches.at(-1)
  return (
    <svg
      ref={svg}
      viewBox={`0 0 ${profile.width} ${profile.height}`}
      role="group"
      aria-label={`The finish, sawn through, on ${words}. Arrows go from layer to layer, with shift they move it; Enter changes it, D lays it once more, Delete takes it out.`}
      preserveAspectRatio="xMinYMax meet"
      className="max-h-[36vh] w-full select-none overflow-visible"
    >
      {shown.map((stratum, k) => {
        const laid = profile.laid[k]
        if (!laid) return null
        const pulled = drag?.id === stratum.id
        return (
          <g key={stratum.id} className={drag ? 'stratum-moves' : undefined}>
            <Stratum
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

/** Room for another layer at a joint of the chosen one. */
function PutHere({ y, label: said, press }: { y: number; label: string; press: () => void }) {
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={said}
      className="stratum cursor-pointer"
      onClick={press}
      onKeyDown={(event) => {
        if (event.key !== 'Enter' && event.key !== ' ') return
        event.preventDefault()
        press()
      }}
    >
      <circle cx="20" cy={y} r="24" fill="transparent" />
      <circle cx="20" cy={y} r="12" fill="var(--now)" stroke="var(--sheet)" strokeWidth="2" />
      <path d={`M14 ${y}h12M20 ${y - 6}v12`} stroke="var(--on-now)" strokeWidth="2.4" />
    </g>
  )
}

/** Lines of sawn wood, clipped to it. */
function Grain({ ground, height }: { ground: string; height: number }) {
  return (
    <g pointerEvents="none" clipPath="url(#editor-wood)">
      <clipPath id="editor-wood">
        <path d={ground} />
      </clipPath>
      {Array.from({ length: 7 }, (_, k) => (
        <path
          key={k}
          d={`M-10 ${height - 8 - k * 19}C120 ${height - 30 - k * 15} 300 ${height + 6 - k * 24} 560 ${height - 18 - k * 17}`}
          fill="none"
          stroke="#1d120a"
          strokeOpacity="0.22"
          strokeWidth={k % 2 === 0 ? 1.6 : 0.9}
        />
      ))}
    </g>
  )
}

interface StratumProps {
  stratum: DeskStratum
  laid: { path: string; top: string }
  /** what it lies on */
  joint: string
  isSelected: boolean
  isWrong: boolean
  isPulled: boolean
  pressed: React.SVGAttributes<SVGPathElement>
}

function Stratum({ stratum, laid, joint, isSelected, isWrong, isPulled, pressed }: StratumProps) {
  const { path, top } = laid
  const words = stratumWords(stratum)
  const { drawn } = stratum
  const torn = isWrong || ('conflicts' in stratum && stratum.conflicts.some(({ severity }) => severity !== 'advice'))
  const own = stratum.is === 'touch'
  const frame = isSelected || isPulled ? { stroke: 'var(--now)', strokeOpacity: 1, strokeWidth: 3.5 } : {}
  const button = own
    ? { ...pressed, role: 'button', 'aria-label': words, 'data-layer': stratum.id, className: 'stratum cursor-grab' }
    : { pointerEvents: 'none' as const }
  // what the rules put in and what lays nothing is a line on what is below
  if (!own && !drawn)
    return (
      <>
        <path d={top} fill="none" stroke="var(--sheet)" strokeWidth="2.6" pointerEvents="none" />
        <path d={top} fill="none" stroke="var(--ink)" strokeWidth="1.2" strokeDasharray="2 3" pointerEvents="none" />
        {torn && <Torn along={joint} />}
      </>
    )
  if (!drawn || path === '')
    return (
      <>
        <path d={path || top} fill="var(--well)" stroke="var(--ink)" strokeOpacity="0.4" strokeWidth="1" {...frame} {...button}>
          <title>{words}</title>
        </path>
        <path
          d={top}
          transform="translate(0 4)"
          fill="none"
          stroke="var(--ink)"
          strokeWidth="1.6"
          strokeDasharray="9 5"
          pointerEvents="none"
        />
        {torn && <Torn along={joint} />}
      </>
    )
  const overlay = layerOverlays[drawn.kind]
  return (
    <>
      <path
        d={path}
        fill={layerFills[drawn.kind] ?? drawn.tone}
        stroke="var(--ink)"
        strokeOpacity="0.4"
        strokeWidth="1"
        strokeLinejoin="round"
        {...(stratum.is === 'added' && { strokeDasharray: '4 3' })}
        {...frame}
        {...button}
      >
        <title>{words}</title>
      </path>
      {overlay && <path d={path} fill={overlay} pointerEvents="none" />}
      {torn && <Torn along={joint} />}
    </>
  )
}

/** Where it does not hold. */
const Torn = ({ along }: { along: string }) => (
  <path d={along} fill="none" stroke="var(--late)" strokeWidth="3.4" strokeDasharray="3 4 9 4" pointerEvents="none" />
)
