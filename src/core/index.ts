/** The core's doorway: every public name, listed. Pure computation; no clock, no chance, no I/O. */
export { surfaceArea } from './surface/surfaceArea'
export { coatVolumes } from './mix/coatVolumes'
export { windowFor } from './drying/windowFor'
export { priceFor } from './price/priceFor'
export { calibrate } from './learn/calibrate'
export { mixBatch } from './mix/mixBatch'
export { drawFromLots } from './stock/drawFromLots'
