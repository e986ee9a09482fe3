/** Which colours will be seen side by side when a finish is done: what is worn to, cracked over, masked, washed over. Pure. */
import { contrast } from '@/core/craft/colour'
import { getOperation, type OperationCode } from '@/core/craft/operations'
import { getExistingFinish, getSubstrate } from '@/core/craft/parts'
import { ground, type Touch } from './touch'
import type { FinishablePart } from './wish'

/** A rub that brings the colours out wears as well. */
const wears = (operation: OperationCode) => getOperation(operation).wears === true || operation === 'sand'
const beside: readonly OperationCode[] = ['crackle-coat', 'wash', 'glaze', 'dry-brush', 'spray-runs', 'blend']

/** The colour of what shows where all is worn away: old paint, else the wood, whatever clear is on it. */
function groundTone({ substrate, existing, foundColour }: FinishablePart): string {
  const { layer, tone } = getExistingFinish(existing)
  const old = layer === 'oldPaint' ? (foundColour ?? tone) : null
  return old ?? getSubstrate(substrate).tone
}

/** An effect in the very colour of the coat below it; another layer of itself is no such thing. */
const onItself = ({ operation }: Touch, under: readonly { hex: string; operation: OperationCode }[]) =>
  beside.includes(operation) ? under.find((each) => !beside.includes(each.operation)) : undefined

/** The smallest distance between two colours that are meant to be told apart; Infinity where none are. */
export function seenContrast(part: FinishablePart, touches: readonly Touch[]): number {
  const pairs = touches.flatMap((touch, k): [string, string][] => {
    const under = touches.slice(0, k).flatMap(({ colour, id, operation }) => (colour ? [{ hex: colour.hex, id, operation }] : []))
    const taped = touches.slice(0, k).findLast(({ operation }) => operation === 'tape' || operation === 'pull-tape')
    const isBeside = beside.includes(touch.operation) || taped?.operation === 'tape'
    const top = wears(touch.operation) ? under.pop()?.hex : isBeside ? touch.colour?.hex : undefined
    if (top === undefined) return []
    const below =
      touch.wearTo === ground
        ? groundTone(part)
        : (under.find(({ id }) => id === touch.wearTo) ?? under.findLast(({ hex }) => hex !== top) ?? onItself(touch, under))?.hex
    return below ? [[top, below]] : []
  })
  return Math.min(Infinity, ...pairs.map(([one, other]) => contrast(one, other)))
}
