/** The core's doorway: every public name, listed. Pure computation; no clock, no chance, no I/O. */
export { surfaceArea } from '@/core/measure/surfaceArea'
export { coatVolumes } from '@/core/measure/coatVolumes'
export { windowFor } from '@/core/drying/windowFor'
export { priceFor } from '@/core/price/priceFor'
export { calibrate } from '@/core/learn/calibrate'
export { mixBatch } from '@/core/measure/mixBatch'
export { drawFromLots } from '@/core/stock/drawFromLots'
