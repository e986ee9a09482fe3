/** How much one coat of a plan takes. Pure. */
import { type FamilyCode, getFamily, safeCoverage } from '@/core/craft/families'
import type { OperationCode } from '@/core/craft/operations'
import { sprayLoss } from '@/core/craft/ways'
import { coatVolumes, usualLaterTake } from '@/core/measure/coatVolumes'
import type { Film } from '@/core/measure/film'

/** What is lost in brush and tin. */
const waste = 0.1
/** The share of the part that a step lays something on. Practice. */
const sharesOfArea: Partial<Record<OperationCode, number>> = {
  knotting: 0.05,
  // thickened: its windows are those of the thick coat, its amount twice the usual
  'texture-coat': 2,
  resist: 0.1,
  'dry-brush': 0.25,
  'spray-runs': 0.5,
  'metallic-wax': 0.05,
}

export const usualShare = (operation: OperationCode): number => sharesOfArea[operation] ?? 1

/**
 * ml or g for one coat, as it is laid: of the ready mix, where it is mixed. At the product's careful coverage; over the `share` of
 * the part that was asked for, or the operation's usual one. `sprayed`: what goes beside it is counted.
 */
export function coatAmount(
  areaM2: number,
  family: FamilyCode,
  film: Film,
  number: number,
  operation: OperationCode,
  share: number | null = null,
  sprayed = false,
): number {
  const usual = usualShare(operation)
  // what is laid thicker stays so wherever it is laid
  const covered = share === null ? usual : share * Math.max(1, usual)
  const volumes = coatVolumes({
    area: areaM2 * covered,
    coverage: safeCoverage(family),
    coats: [...Array.from({ length: number - 1 }, () => film), film],
    laterTake: getFamily(family).laterTake ?? usualLaterTake,
    waste,
  })
  const ml = (volumes.ml.at(-1) ?? 0) * (sprayed ? sprayLoss : 1)
  return Math.max(1, Math.round(ml))
}
