/** A mix made up as batches: how much of each component, and when a new batch is due. Volumes in ml, minutes; pure. */

export interface MixInput {
  /** wanted, of the ready mix */
  volume: number
  /** by volume */
  components: readonly { name: string; parts: number }[]
  /** what the mix is of its summed parts: liquids 1, powder in water 0.75 unless the label says otherwise */
  yield: number
  /** coats in order, minutes from the first */
  coats: readonly { ml: number; atMinute: number }[]
  potLifeMinutes: number
}
export interface MixedBatches {
  components: { name: string; ml: number }[]
  batches: { atMinute: number; ml: number }[]
}

/** Coats that fall within the pot life of a batch share it; the next one is made for the coat after. */
export function inBatches(coats: MixInput['coats'], potLifeMinutes: number): MixedBatches['batches'] {
  const batches: MixedBatches['batches'] = []
  for (const { ml, atMinute } of coats) {
    const batch = batches.at(-1)
    if (batch && atMinute - batch.atMinute <= potLifeMinutes) batch.ml += ml
    else batches.push({ atMinute, ml })
  }
  return batches
}

/** How much of each component goes into a volume. Throws where the parts or the yield are nothing. */
export function shareOut({ volume, components, yield: share }: Pick<MixInput, 'volume' | 'components' | 'yield'>) {
  const parts = components.reduce((sum, each) => sum + each.parts, 0)
  if (!(parts > 0) || !(share > 0)) throw new Error('a mix has parts above nothing, and a yield above nothing')
  return components.map(({ name, parts: own }) => ({ name, ml: (volume * own) / (share * parts) }))
}

/** Throws as {@link shareOut} does. */
export const mixBatch = (mix: MixInput): MixedBatches => ({
  components: shareOut(mix),
  batches: inBatches(mix.coats, mix.potLifeMinutes),
})
