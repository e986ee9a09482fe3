/** The craft in words: reasons, cautions, checks, refusals, advice, pasts. Codes come from the core's tables. */
import type { StepCard } from '@/core/bench/stepCard'
import type { CautionCode } from '@/core/craft/cautions'
import type { CoverReason } from '@/core/craft/colour'
import { getFamily } from '@/core/craft/families'
import { type CheckCode, getOperation } from '@/core/craft/operations'
import type { ReasonCode } from '@/core/craft/recipe'
import { sheens } from '@/core/craft/sheen'
import type { PastCode } from '@/core/craft/windows'
import type { RefusalCode } from '@/core/finish/refusal'
import type { PlannedStep } from '@/core/finish/step'
import type { AdviceCode } from '@/core/plan/planFinish'
import type { PaintReason } from '@/core/plan/rankPaints'
import { whereWords } from './where'

export const reasonWords: Record<ReasonCode, string> = {
  cover: 'This colour needs so many coats to cover; pale and clean colours hide badly.',
  'under-colour': 'It only shows where the top is worn: one coat is enough.',
  'dark-under': 'So that no pale wood shines where the top lets go.',
  'keep-undercoat': 'Unsealed, the undercoat would come away with the flakes.',
  'wash-needs-sealed': 'A wash lifts a base that water still moves.',
  rough: 'Unevenly, thicker where wear should catch.',
  peaks: 'Half dry: too early smears, too late they will not lie.',
  'crackle-shrinks': 'It shrinks under the next coat and tears it. It must be dry first.',
  'crackle-flat': 'What was cracked is rubbed flat and shut in, or its cracks come through.',
  'crackle-once': 'Thick tears wide, thin tears fine. Going back over it kills the cracks.',
  'resist-lets-go': 'Where hands and feet really wear it: the next coat can’t hold there.',
  'resist-defeats-clear': 'Left under a topcoat it makes that let go too.',
  chips: 'Milk paint lets go where it can’t soak in. How much can’t be promised.',
  'loose-flakes': 'Loose flakes sealed in come off later, with the seal.',
  'wash-soft': 'Keep a wet edge; a section at a time, full strokes.',
  'glaze-depth': 'Overlap to blend. Too strong: a softer second pass takes it back.',
  'dry-brush-age': 'Too much: a damp cloth takes it off again.',
  'blend-wet': 'Mist the brush, not the paint, and stop before it turns to mud.',
  runs: 'Drips are evened with plain water while they run.',
  overspray: 'Spray goes everywhere: what stays as it is is covered first.',
  'thickens-open': 'Left open for about two hours paint thickens by itself: poured out early, it is ready when the ground is.',
  'sharp-lines': 'Measured from the centre out, edges pressed down.',
  'tape-damp': 'Off while still damp: dried, it tears the edge.',
  'cloth-drinks': 'Damp cloth takes the paint into the weave instead of on top of it.',
  'cloth-soft': 'Rubbed between coats it stays supple.',
  'leather-grip': 'The first coat undiluted and thin: water keeps it from gripping.',
  'wood-shows': 'The wood itself is the colour; the stain only turns it.',
  'thirsty-first': 'A thin first coat, so that thirsty paint does not drink the rest.',
  'gilding-last': 'After the sealer: under it the metal goes grey.',
  'oil-feeds': 'It soaks into thirsty paint and wood; what does not soak in must come off.',
  'smooth-between': 'Knocks back brush marks and nibs before the next coat.',
  'last-rub': 'Dry and light: the last rub before the topcoat decides how it feels.',
  'keep-apart': 'Clay and casein re-wet: without a thin clear between, the two colours mix into mud.',
  'wear-to-a': 'Where hands and feet really wear it: edges, handles, corners, and the frame behind.',
  'wear-to-wood': 'Edges and corners only, unevenly; even wear looks machine-made.',
  'no-dust-under-clear': 'What lies on it now stays under the topcoat for good.',
  'seal-paint': 'The paint marks at a drop of water until it is sealed.',
  'seal-use': 'As many clear coats as the use asks for.',
  'wax-barrier': 'Dark wax on bare paint stains for good; the clear wax holds it at the surface.',
  age: 'Thinly, recesses and edges only. Too strong: clear wax takes it off again.',
  'excess-never-hardens': 'Wax left standing never hardens and stays sticky.',
  sheen: 'The sheen grows with buffing; a finger print that shows means rest an hour.',
  'wash-strength': 'Two thin washes give strength without losing the grain.',
  'grease-defeats-paint': 'Polish, grease and smoke defeat every paint.',
  'degreaser-defeats-paint': 'What is left of the cleaner defeats paint too.',
  'wax-defeats-paint': 'Nothing grips wax or oil. All of it must come off; change the cloth often.',
  'oil-defeats-paint': 'Oil that is still open keeps paint from gripping.',
  'wet-key': 'A wet key raises no dust: lead is possible in what is rubbed.',
  'own-film': 'What you laid shines: it wants a key before another coat.',
  'high-points': 'Rubbed on the high points, the cracks stand out.',
  reveal: 'Rubbed back after a night: this brings the colours out.',
  'even-water': 'Damp all over, it dries all over: the mark goes with the rest.',
  'runs-free': 'What rubs is eased and waxed, never painted.',
  counted: 'Counted when the piece came in.',
  'as-wished': 'You asked for it.',
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
  rust: 'Rust goes on under paint and lifts it.',
  'edges-drink': 'Cut edges of board drink: shut first, or every coat sinks into them.',
  'metal-rusts': 'Bare metal rusts under anything with water in it: a primer made for metal first.',
  'lead-covered': 'Possible lead is covered, not abraded.',
}

export const cautionWords: Record<CautionCode, string> = {
  powder: 'Mask while powder is mixed: stir it in, don’t let it fly.',
  mist: 'Mask and moving air: paint in the air is breathed in.',
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
  scratch: 'Dry: scratch with a fingernail, then press tape on and rip. Nothing comes off.',
  sealed: 'A drop of water beads.',
  'looks-right': 'Dry, beside the piece, in the light it will stand in: it is what was wished for.',
  straight: 'Lines straight, edges sharp, both ends alike.',
  'runs-right': 'Drawers run, doors shut, feet level; look underneath.',
}

export const pastWords: Record<PastCode, string> = {
  slower: 'It has hardened: reckon with three times the work, or a sander.',
  'scuff-first': 'More than a day: scuff lightly before the next coat.',
  'wax-again': 'A new thin coat of clear wax first.',
  'new-wax-softens': 'New wax softens the old; rub it on, then take all of it off.',
  'abrade-instead': 'The peaks have set: a damp brush, or abrade them when dry.',
  'score-edge': 'The paint has dried over the tape: score the edge before you pull.',
  'rub-fresh-oil': 'It has gone tacky: rub with fresh oil, then wipe all of it off.',
  'no-chips': 'It has dried: heat makes few chips now.',
  're-apply': 'It has dried out: brush stripper on again.',
}

export const adviceWords: Record<AdviceCode, string> = {
  'low-contrast': 'What is to be seen through it is close to the colour over it: from two metres it will hardly show.',
  'contrast-none': 'What is to be seen through it is all but the colour over it: nothing will show.',
  'knots-show': 'Knots stay visible under a wash, and may yellow it.',
  'test-lead': 'Lead is possible here. The plan covers it and abrades nothing; have it tested first.',
  'test-wax':
    'Nobody looked for wax: draw a nail across it, wipe a hidden spot with spirits. A smear means wax, and all of it must come off.',
  'prove-grip': 'Nothing is scuffed here: prove the grip with a scratch and a tape pull before you go on.',
  'veneer-care': 'Veneer is thin: wear and scrape lightly, and stop at the first pale wood.',
  'wears-to-primer':
    'Worn through, it shows the primer first, not the wood: have the primer tinted to what is to be seen, or wear lightly.',
  'chips-as-it-likes': 'How much it chips can’t be promised. If it does not, wear it by hand.',
  'pale-over-tannin': 'White under water-based clear may yellow over this wood.',
  'children-label': 'For children’s furniture and food surfaces: what the label certifies, and nothing more.',
  'wax-for-light-use': 'Wax is not for heat or standing water. Renew it when it dulls.',
}

export const refusalWords: Record<RefusalCode, string> = {
  pile: 'High pile can’t be painted: it goes stiff and rubs off. New cloth is the answer.',
  material: 'This look is not for this material.',
  'soft-use': 'Painted cloth and leather do not stand up to this use. New covers are the answer.',
  lead: 'This look abrades or heats the old finish, and lead is possible. Have it tested, or choose a look that covers.',
  paint: 'This paint can’t be worked this way.',
  'not-combinable': 'These looks can’t be laid over each other.',
  'seal-use': 'This topcoat does not stand up to this use, or does not hold on this paint.',
  sheen: 'No topcoat that this part can have is made in this sheen.',
  'no-seal': 'No topcoat of this look stands up to this use.',
  'colour-missing': 'Choose the colours first.',
  layers: 'Two of these layers won’t hold together, whatever is put between them.',
}

export const coverWords: Record<CoverReason, string> = {
  usual: 'two coats, as usual',
  'hides-badly': 'one more: it hides badly',
  'pale-over-dark': 'one more: pale over dark',
  'strong-over-alike': 'one less: a strong tone over its like',
}

/** On the record of what is handed over. */
export const leadBelow =
  'Lead is possible below this finish: do not sand, scrape, drill or heat it, and keep it whole where children are. Have it tested before it is ever taken off; removal is for licensed people, local rules apply.'

export const sourceWords = {
  craft: 'the craft’s figure',
  label: 'the label’s figure',
  practice: 'experienced painters’ figure',
  studio: 'this studio’s own figure',
  painter: 'your own figure',
} as const

/** "Coat 2 of 3, Ferry Slate": what to do, short. */
export function stepTitle(
  step: Pick<PlannedStep, 'operation' | 'coat' | 'colour' | 'words'> & Partial<Pick<PlannedStep, 'reason'>>,
): string {
  if (step.words) return step.words
  if (step.reason === 'edges-drink') return 'Shut the cut edges'
  const coat = step.coat ? ` ${step.coat.number} of ${step.coat.of}` : ''
  const titles: Partial<Record<typeof step.operation, string>> = {
    coat: `Coat${coat}`,
    wash: `Wash${coat}, wipe back`,
    'clear-coat': `Clear coat${coat}`,
    'crackle-coat': 'Colour over the crackle',
    'texture-coat': 'Thickened coat',
    'fabric-coat': `Thin coat${coat} into the cloth`,
  }
  return `${titles[step.operation] ?? getOperation(step.operation).words}${step.colour ? `, ${step.colour.name}` : ''}`
}

/** Why a step is there; whose it is, where it is the painter's. */
export const whyWords = ({ reason, own, changed }: Pick<PlannedStep, 'reason' | 'own' | 'changed'>): string =>
  `${reasonWords[reason]}${own ? ' Your own step.' : changed ? ' Changed by you.' : ''}`

/** "clay paint, paint : water 1 : 1, bristle brush, 220": with what. */
export function withWhat(
  step: Pick<PlannedStep, 'family' | 'mix' | 'applicator' | 'grit' | 'film' | 'sheen' | 'where' | 'turns'>,
): string {
  const film = step.film === 'normal' ? null : `${step.film} film`
  const parts = [
    step.family ? getFamily(step.family).words : null,
    step.sheen ? sheens[step.sheen] : null,
    step.mix,
    step.applicator,
    step.grit ? `abrasive ${step.grit}` : null,
    step.family ? film : null,
    whereWords(step.where),
    step.turns === undefined ? null : 'one side, turned when it is dry, the other',
  ]
  return parts.filter(Boolean).join(' · ')
}

/** "Coat 2 of 3, Ferry Slate, Washstand, cabinet": a step told from every other. */
export const cardName = ({ step, pieceName, partName }: Pick<StepCard, 'step' | 'pieceName' | 'partName'>): string =>
  `${stepTitle(step)}, ${pieceName}, ${partName.toLowerCase()}`

/** What speaks for a paint on a part, and what against it. */
export const paintReasonWords: Record<PaintReason, string> = {
  grips: 'grips by itself',
  'wants-scuff': 'wants a scuff',
  'wants-key': 'wants a good key',
  'wants-primer': 'wants a primer here',
  'seals-itself': 'needs no topcoat here',
  'wants-topcoat': 'wants a topcoat',
  'lifts-with-water': 'lifts with water until it is sealed',
  'water-moves-it': 'water marks it until it is sealed',
  'no-water': 'takes no water',
  'wears-soon': 'wears back the same day',
  'wears-after-night': 'wears back after a night',
  'wears-damp': 'wears back with a damp cloth, without dust',
  'mixed-from-powder': 'mixed from powder, for a day',
  'mixed-at-home': 'mixed at home, for a day',
  'on-the-shelf': 'on the shelf',
  'to-buy': 'to buy',
  'chips-by-itself': 'lets go in flakes by itself',
}
