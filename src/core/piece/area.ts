/** What a part measures, all of its like counted. */
import { surfaceArea } from '@/core/measure/surfaceArea'
import type { Part } from './piece'

/** m² of a part: the surfaces of one, times how many there are. */
export const areaOfPart = (part: Pick<Part, 'surfaces' | 'count'>): number => surfaceArea(part).area * part.count
