/** Photographs with what each shows, in words. */
import type { Photo, PieceFile } from '@/core/piece/piece'
import { stepTitle } from '@/words/craft'
import { loggedWords, type Wall } from '@/words/time'

export interface StripPhoto extends Pick<Photo, 'id' | 'moment' | 'alt' | 'width' | 'height'> {
  /** "Top, coat 1 of 2" */
  shows: string
  /** when, in words */
  taken: string
}

/** `wall`: the studio's; `nowMs`: when it is read. */
export function stripOf({ photos, parts }: Pick<PieceFile, 'photos' | 'parts'>, wall: Wall, nowMs: number): StripPhoto[] {
  const steps = new Map(parts.flatMap(({ plan, earlier }) => [...(plan?.steps ?? []), ...earlier]).map((step) => [step.id, step]))
  return photos.map(({ partId, stepId, takenAt, ...photo }) => {
    const part = parts.find(({ id }) => id === partId)
    const step = stepId === null ? undefined : steps.get(stepId)
    const taken = loggedWords(takenAt, wall, nowMs)
    return { ...photo, taken, shows: [part?.name, step && stepTitle(step)].filter(Boolean).join(': ') }
  })
}
