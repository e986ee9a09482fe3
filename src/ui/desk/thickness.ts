/** How thick each layer of the desk is drawn: by what it is, how it is laid and how often; what lays nothing is a line. Pure. */
import type { DeskStratum } from '@/core/desk/strata'
import type { Stratum } from '@/ui/drawing/strata'

const films = { thin: 0.72, normal: 1, heavy: 1.5 }
const base = 26
/** what is put on thinner, or thicker, than a coat of paint */
const ofKind: Partial<Record<string, number>> = {
  primer: 13,
  wash: 17,
  glaze: 17,
  wax: 17,
  tint: 15,
  oil: 13,
  clear: 17,
  metallic: 13,
  medium: 15,
  texture: 34,
  oldPaint: 16,
  oldClear: 13,
}
/** each coat after the first */
const more = 0.35

export function thickOf(stratum: DeskStratum): Stratum {
  const { drawn } = stratum
  const wears = stratum.is === 'touch' ? stratum.wears : 0
  if (!drawn) return { thick: stratum.is === 'touch' ? 8 : 0, wears }
  const coats = 'coats' in stratum ? stratum.coats : 1
  return { thick: (ofKind[drawn.kind] ?? base) * films[drawn.film] * (1 + more * (coats - 1)), where: drawn.where, wears }
}
