/** The craft in words: reasons, cautions, checks, refusals, advice, pasts. Codes come from the core's tables. */
import type { CautionCode, CheckCode } from '../../core/labour/operations'
import { getOperation } from '../../core/labour/operations'
import { getFamily } from '../../core/finish/families'
import type { AdviceCode, PlannedStep, RefusalCode } from '../../core/finish/planFinish'
import type { ReasonCode } from '../../core/finish/looks'
import type { PrepReasonCode } from '../../core/finish/preparation'
import type { PastCode } from '../../core/finish/windows'

export const reasonWords: Record<ReasonCode | PrepReasonCode, string> = {
  cover: 'This colour needs so many coats to cover; pale and clean colours hide badly.',
  'cover-thin': 'A thin coat is enough here.',
  'smooth-between': 'Knocks back brush marks and nibs before the next coat.',
  'last-rub': 'Dry and light: the last rub before the topcoat decides how it feels.',
  'keep-apart': 'Clay and casein re-wet: without a thin clear between, the two colours mix into mud.',
  'wear-to-a': 'Where hands and feet really wear it: edges, handles, corners, and the frame behind.',
  'wear-to-wood': 'Edges and corners only, unevenly; even wear looks machine-made.',
  'no-dust-under-clear': 'What lies on it now stays under the topcoat for good.',
  'seal-paint': 'The paint marks at a drop of water until it is sealed.',
  'seal-use': 'As many clear coats as the use asks for.',
  'wax-barrier': 'Dark wax on bare paint stains for good; the clear wax holds it at the surface.',
  age: 'Thinly, recesses and edges only. Too dark: clear wax takes it off again.',
  'excess-never-hardens': 'Wax left standing never hardens and stays sticky.',
  sheen: 'The sheen grows with buffing; a finger print that shows means rest an hour.',
  'wash-strength': 'Two thin washes give strength without losing the grain.',
  'grease-defeats-paint': 'Polish, grease and smoke defeat every paint.',
  'degreaser-defeats-paint': 'What is left of the cleaner defeats paint too.',
  'wax-defeats-paint': 'Nothing grips wax or oil. All of it must come off; change the cloth often.',
  key: 'Fine roughness for the coat to grip.',
  'bare-for-look': 'The wood shows through this look, so the old finish comes off.',
  soften: 'While it is soft; dried stripper must be put on again.',
  'stripper-defeats-paint': 'Stripper left in the grain attacks the next coat.',
  'even-wood': 'Along the grain, never across: scratches show.',
  'veneer-thin': 'Veneer takes almost no abrasion: one light hand pass.',
  'dust-defeats-paint': 'Paint over dust grips the dust.',
  'knots-bleed': 'Knots bleed through paint, sooner or later.',
  'tannin-bleeds': 'This wood bleeds through pale colours.',
  'unknown-safe': 'What is on it is not known: the safe side is a primer that blocks and grips.',
  slick: 'Slick: no paint grips here by itself, whatever its label promises.',
  'lead-covered': 'Possible lead is covered, not abraded.',
}

export const cautionWords: Record<CautionCode, string> = {
  dust: 'Mask and extraction: no dust in the lungs.',
  solvent: 'Gloves for chemicals, goggles, moving air, no flame. The label decides. Not down the drain.',
  rags: 'Rags with oil, wax or spirits can catch fire by themselves: spread flat outdoors, or under water in a closed metal tin.',
  blade: 'Push the blade away from you, both hands behind it.',
  heat: 'Keep the gun moving. Never on stripper, never where lead is possible.',
  lifting: 'Two to lift. Tall pieces are fixed to the wall where they go.',
  lead: 'Lead is possible: no dry abrasion, no blade, no heat. Have it tested; removal is for licensed people, local rules apply.',
}

export const checkWords: Record<CheckCode, string> = {
  dry: 'Back of the hand: cool is still wet.',
  clean: 'A white cloth comes away clean.',
  'no-shine': 'No shine left in raking light.',
  'no-dust': 'A palm comes away clean.',
  'raking-light': 'Lamp held low: no runs, skips or nibs.',
  bleed: 'Left a while, nothing yellow or pink comes through.',
  'looks-worn': 'From two metres it looks like use, not like tools.',
  fingerprint: 'A finger leaves no print.',
  'rag-drag': 'A clean rag glides; drag means there is some left.',
  'lap-marks': 'No dark seams, no drips.',
  'no-residue': 'The last water stays clear.',
  'runs-right': 'Drawers run, doors shut, feet level; look underneath.',
}

export const pastWords: Record<PastCode, string> = {
  slower: 'It has hardened: reckon with three times the work, or a sander.',
  'scuff-first': 'More than a day: scuff lightly before the next coat.',
  'wax-again': 'A new thin coat of clear wax first.',
  'new-wax-softens': 'New wax softens the old; rub it on, then take all of it off.',
  're-apply': 'It has dried out: brush stripper on again.',
}

export const adviceWords: Record<AdviceCode, string> = {
  'low-contrast': 'The two colours are close: the wear will hardly show from two metres.',
  'contrast-none': 'The two colours are all but the same: nothing will show where it is worn.',
  'knots-show': 'Knots stay visible under a wash, and may yellow it.',
  'test-lead': 'Lead is possible here. The plan covers it and abrades nothing; have it tested first.',
  'wax-for-light-use': 'Wax is not for heat or standing water. Renew it when it dulls.',
}

export const refusalWords: Record<RefusalCode, string> = {
  lead: 'This look abrades the old finish, and lead is possible. Have it tested, or choose a look that covers.',
  'not-wood': 'This look lets wood show, and this part is not wood.',
  'veneer-strip': 'This look needs bare wood, and stripping and abrading would go through the veneer.',
  use: 'Wax and thin washes do not stand up to this use.',
  paint: 'This paint can’t be worked this way.',
  'colour-missing': 'Choose the colours first.',
}

export const phaseWords = { shut: 'shut', open: 'may do, test it', best: 'open', closing: 'closing', gone: 'gone' } as const
export const sourceWords = {
  craft: 'the craft’s figure',
  label: 'the label’s figure',
  practice: 'experienced painters’ figure',
  studio: 'this studio’s own figure',
} as const

export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)

/** "Coat 2 of 3, Ferry Slate": what to do, short. */
export function stepTitle(step: Pick<PlannedStep, 'operation' | 'coat' | 'colour'>): string {
  const coat = step.coat ? ` ${step.coat.number} of ${step.coat.of}` : ''
  const titles: Partial<Record<typeof step.operation, string>> = {
    coat: `Coat${coat}`,
    wash: `Wash${coat}, wipe back`,
    'clear-coat': `Clear coat${coat}`,
    'block-prime': 'Prime against bleed',
  }
  return `${titles[step.operation] ?? getOperation(step.operation).words}${step.colour ? `, ${step.colour.name}` : ''}`
}

/** "clay paint, paint : water 1 : 1, bristle brush, 220": with what. */
export function withWhat(step: Pick<PlannedStep, 'family' | 'mix' | 'applicator' | 'grit' | 'film'>): string {
  const film = step.film === 'normal' ? null : `${step.film} film`
  const parts = [
    step.family ? getFamily(step.family).words : null,
    step.mix,
    step.applicator,
    step.grit ? `abrasive ${step.grit}` : null,
    step.family ? film : null,
  ]
  return parts.filter(Boolean).join(' · ')
}
