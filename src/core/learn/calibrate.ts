/**
 * What a studio's own log teaches about a standard figure: the usual factor and the careful one. Ratios without unit; pure.
 * A log-normal prior (factor 1, spread 0.35) worth four observations keeps the first few from shouting.
 */

export interface Calibration {
  /** the usual factor: half of the times it is less */
  p50: number
  /** the careful factor: four times in five it is less */
  p80: number
  /** how many observations stand behind it */
  count: number
}

const priorSpread = 0.35
const priorWorth = 4
/** the standard normal below which four fifths lie */
const z80 = 0.8416

/** From observed ratios actual / standard. Throws on a ratio that is no positive number. */
export function calibrate({ ratios }: { ratios: readonly number[] }): Calibration {
  const wrong = ratios.find((ratio) => !(ratio > 0 && Number.isFinite(ratio)))
  if (wrong !== undefined) throw new Error(`a ratio is above nothing and finite: ${wrong}`)
  const logs = ratios.map(Math.log)
  const worth = priorWorth + logs.length
  const mean = logs.reduce((sum, x) => sum + x, 0) / worth
  const variance = (priorWorth * priorSpread ** 2 + logs.reduce((sum, x) => sum + (x - mean) ** 2, 0)) / worth
  return { p50: Math.exp(mean), p80: Math.exp(mean + z80 * Math.sqrt(variance)), count: ratios.length }
}

/** How far what is measured scatters about its middle, in logarithms; of nothing measured as of the prior. */
export const scatterOf = ({ p50, p80 }: Pick<Calibration, 'p50' | 'p80'> = calibrate({ ratios: [] })): number =>
  Math.log(p80 / p50) / z80
