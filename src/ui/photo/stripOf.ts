/** Photographs with what each shows, in words. */
import type { PieceFile } from '@/core/piece/piece'
import { stepTitle } from '@/words/craft'
import type { StripPhoto } from './PhotoStrip'

export function stripOf({ photos, parts }: Pick<PieceFile, 'photos' | 'parts'>): StripPhoto[] {
  const steps = new Map(parts.flatMap(({ plan, earlier }) => [...(plan?.steps ?? []), ...earlier]).map((step) => [step.id, step]))
  return photos.map((photo) => {
    const part = parts.find(({ id }) => id === photo.partId)
    const step = photo.stepId === null ? undefined : steps.get(photo.stepId)
    return { ...photo, shows: [part?.name, step && stepTitle(step)].filter(Boolean).join(': ') }
  })
}
