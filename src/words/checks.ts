/** How each check is done, in its own words; asked when a step ends. */
import type { CheckCode } from '@/core/craft/operations'
import type { Touch, Verdict } from '@/core/log/entry'

export const checkAsks: Record<CheckCode, string> = {
  dry: 'Is it dry to the touch?',
  clean: 'Is it clean?',
  'no-shine': 'Is all the shine gone?',
  'no-dust': 'Is it free of dust?',
  'raking-light': 'No runs, skips or nibs?',
  bleed: 'Does nothing come through?',
  'looks-worn': 'Does it look like use, not like tools?',
  fingerprint: 'Does a finger leave no print?',
  'rag-drag': 'Does a clean rag glide?',
  'lap-marks': 'No dark seams, no drips?',
  'no-residue': 'Did the last water stay clear?',
  'runs-right': 'Does all of it run, shut and stand?',
  scratch: 'Did the scratch and the tape bring nothing off?',
  sealed: 'Does a drop of water bead?',
  'looks-right': 'Is it what was wished for?',
  straight: 'Are the edges sharp and straight?',
}
export const checkHows: Record<CheckCode, string> = {
  dry: 'Back of the hand on a hidden spot: cool is still wet.',
  clean: 'A white cloth, damp, over corners and handles: it comes away clean.',
  'no-shine': 'Lamp held low along the face: no bright patches.',
  'no-dust': 'A clean palm over it, then the tack cloth.',
  'raking-light': 'Lamp held low, from two sides; recesses and edges first.',
  bleed: 'Look in daylight after an hour, better after a night.',
  'looks-worn': 'Step back two metres: edges, handles and feet, not everywhere.',
  fingerprint: 'Press a finger for a moment on a flat.',
  'rag-drag': 'A fresh face of the rag, lightly: drag means there is some left.',
  'lap-marks': 'Look along the grain where two sections meet.',
  'no-residue': 'Wring the cloth over a white bowl.',
  'runs-right': 'Every drawer, every door, then the underside and the feet.',
  scratch: 'Dry: a fingernail, then tape pressed on and ripped.',
  sealed: 'One drop on a hidden spot; wipe it after a minute.',
  'looks-right': 'Dry, held beside the piece in the light it will stand in. A photograph of it says it to a client.',
  straight: 'Sight along the line from its end.',
}
export const spotWords = [
  'top left',
  'top',
  'top right',
  'left',
  'middle',
  'right',
  'bottom left',
  'bottom',
  'bottom right',
] as const

export const verdictWords: Record<Verdict, string> = { pass: 'yes', fail: 'no', later: 'looked at later' }
export const touchWords: Record<Touch, string> = { dry: 'dry', wet: 'still wet' }
