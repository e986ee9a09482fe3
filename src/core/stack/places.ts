/** The surface of a part in its three places, which differ as soon as a layer goes to one of them alone. Pure. */
import { type Place, places } from '@/core/finish/touch'
import type { FinishablePart } from '@/core/finish/wish'
import { afterAct } from './afterAct'
import { type Act, foundSurface, type SurfaceState } from './surface'

/** Places that are alike share one state. */
export type Surfaces = Readonly<Record<Place, SurfaceState>>

const everywhere = (on: SurfaceState): Surfaces => ({ field: on, edges: on, recesses: on })
export const foundSurfaces = (part: FinishablePart): Surfaces => everywhere(foundSurface(part))
const placesOf = (act: Act | null): readonly Place[] => act?.where?.places ?? places

/** The states that an act meets, each once, with the places that are in it; those of the whole part where no act is given. */
export function statesMet(surfaces: Surfaces, act: Act | null = null): { on: SurfaceState; in: readonly Place[] }[] {
  const { field, edges, recesses } = surfaces
  if (!act?.where?.places && field === edges && field === recesses) return [{ on: field, in: places }]
  const met = new Map<SurfaceState, Place[]>()
  for (const place of placesOf(act)) met.set(surfaces[place], [...(met.get(surfaces[place]) ?? []), place])
  return [...met].map(([on, of]) => ({ on, in: of }))
}

/** The surface after one more act, where it was done. */
export function afterActIn(surfaces: Surfaces, act: Act, index: number): Surfaces {
  const met = statesMet(surfaces, act)
  const [only] = met
  if (only && met.length === 1 && only.in.length === places.length) return everywhere(afterAct(only.on, act, index))
  const changed = met.flatMap(({ on, in: of }) => {
    const after = afterAct(on, act, index)
    return of.map((place) => [place, after] as const)
  })
  return { ...surfaces, ...Object.fromEntries(changed) }
}
