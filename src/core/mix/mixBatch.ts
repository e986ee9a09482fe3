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
  /** coats that fall within the pot life of a batch share it */
  batches: { atMinute: number; ml: number }[]
}

/** Throws where the parts or the yield are nothing. */
export function mixBatch({ volume, components, yield: share, coats, potLifeMinutes }: MixInput): MixedBatches {
  const parts = components.reduce((sum, each) => sum + each.parts, 0)
  if (!(parts > 0) || !(share > 0)) throw new Error('a mix has parts above nothing, and a yield above nothing')
  const batches: MixedBatches['batches'] = []
  for (const { ml, atMinute } of coats) {
    const batch = batches.at(-1)
    if (batch && atMinute - batch.atMinute <= potLifeMinutes) batch.ml += ml
    else batches.push({ atMinute, ml })
  }
  return { components: components.map(({ name, parts: own }) => ({ name, ml: (volume * own) / (share * parts) })), batches }
}
