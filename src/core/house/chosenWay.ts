/** What a client chose of an offer that the plan does not lay yet: the same part under another topcoat, or in another sheen. Pure. */
import type { Sheen } from '@/core/craft/sheen'
import type { TopcoatCode } from '@/core/craft/topcoats'
import { findRefusal } from '@/core/finish/refusals'
import { chooseTopcoat } from '@/core/finish/topcoat'
import type { PartId } from '@/core/measure/named'
import { doneOn, factsOf } from '@/core/piece/facts'
import type { PartJourney } from '@/core/piece/journey'
import type { Plan } from '@/core/piece/piece'
import { noEdits, type StepEdits } from '@/core/plan/stepEdits'
import type { MadeQuote } from '@/core/price/offer'

export interface ChosenWay {
  partId: PartId
  part: string
  /** as the client read it: "hard exterior clear, satin" */
  words: string
  /** the plan in force, and what of it becomes another */
  plan: Plan
  edits: StepEdits
  seal: TopcoatCode | null
  sheen: Sheen | undefined
}
interface Chosen {
  words: string[]
  seal?: TopcoatCode
  sheen?: Sheen
}

/** Of each part what was accepted last, of its topcoat and of its sheen by itself. */
function acceptedOf(quotes: readonly Pick<MadeQuote, 'offer' | 'answer'>[]): Map<PartId, Chosen> {
  const last = new Map<string, { partId: PartId; words: string; seal?: TopcoatCode | undefined; sheen?: Sheen | undefined }>()
  for (const { offer, answer } of quotes) {
    if (answer?.answer !== 'accepted') continue
    for (const { id, choices } of offer.options) {
      const choice = choices.find((each) => each.id === answer.chosen?.[id])
      if (choice?.plans)
        last.set(`${choice.plans.partId} ${choice.plans.seal ? 'seal' : 'sheen'}`, { ...choice.plans, words: choice.words })
    }
  }
  const chosen = new Map<PartId, Chosen>()
  for (const { partId, words, seal, sheen } of last.values()) {
    const before = chosen.get(partId)
    chosen.set(partId, { ...before, words: [...(before?.words ?? []), words], ...(seal && { seal }), ...(sheen && { sheen }) })
  }
  return chosen
}

/** A part whose plan in force lays what was chosen is left out, and so is one without a finish of its own. */
export function chosenWays(
  quotes: readonly Pick<MadeQuote, 'offer' | 'answer'>[],
  parts: readonly Pick<PartJourney, 'part' | 'method' | 'steps' | 'done'>[],
): ChosenWay[] {
  return [...acceptedOf(quotes)].flatMap(([partId, chosen]): ChosenWay[] => {
    const journey = parts.find(({ part }) => part.id === partId)
    const plan = journey?.part.plan
    if (!plan || plan.care) return []
    const [facts, wish] = [factsOf(journey.part), { ...plan, seal: plan.seal ?? undefined }]
    const laid = findRefusal(facts, wish) ? plan.seal : chooseTopcoat(facts, wish, journey.method)
    const { seal = laid, sheen = plan.sheen, words } = chosen
    if (seal === laid && sheen === plan.sheen) return []
    // the painter's own steps that are behind it are not asked for again
    const behind = doneOn(journey).map(({ own }) => own)
    const { own, ...edits } = plan.edits ?? noEdits
    return [
      {
        ...{ partId, part: journey.part.name, words: words.join(', '), plan, seal, sheen },
        edits: { ...edits, own: own.filter(({ id }) => !behind.includes(id)) },
      },
    ]
  })
}
