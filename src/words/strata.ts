/** The desk's layers in words: in the drawing by one line, between them what the rules put in. */
import type { DeskStratum } from '@/core/desk/strata'
import { stepTitle } from './craft'
import { touchTitle } from './touch'
import { whereWords } from './where'

/** "Coat, Ferry Slate, 2 coats, edges": what a layer of the drawing is. */
export function stratumWords(stratum: DeskStratum): string {
  switch (stratum.is) {
    case 'under':
      return `There already: ${stratum.words}`
    case 'topcoat':
      return `Topcoat: ${stratum.words}`
    case 'added':
      return `Put in by the rules: ${stratum.steps.map(({ step }) => stepTitle(step).toLowerCase()).join(', ')}`
    case 'touch':
      return [touchTitle(stratum.touch), stratum.coats > 1 && `${stratum.coats} coats`, whereWords(stratum.touch.where)]
        .filter(Boolean)
        .join(', ')
  }
}
