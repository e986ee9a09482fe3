/**
 * Ways of laying that change more than minutes: sprayed in thin passes, thickened by standing open. Source: the craft, on the whole
 * job, and what was settled of sprayed work.
 */
import type { OperationCode } from './operations'

const sprayable: readonly OperationCode[] = ['coat', 'undercoat', 'clear-coat', 'seal-between', 'block-prime', 'adhesion-prime']
interface Laid {
  operation: OperationCode
  applicator?: string | null | undefined
}
export const isSprayed = ({ operation, applicator }: Laid): boolean =>
  sprayable.includes(operation) && /spray/i.test(applicator ?? '')
/** A third of what is sprayed is lost beside the piece. */
export const sprayLoss = 1.33
/** Two thin passes are a brushed coat. */
export const passesPerCoat = 2

/** Paint that thickens by itself, as a mix is written. */
export const leftOpen = 'left standing open about 2 h'
export const standsOpen = (mix: string | null | undefined): boolean => /(left|stand(s|ing)?) open/i.test(mix ?? '')
/** Minutes that it stands. */
export const openMinutes: [low: number, high: number] = [120, 120]
