/** What a client's page says, in whatever language. */
import type { Locale } from '@/core/measure/number'
import type { ClientStage } from '@/core/piece/clientView'
import type { Layer, LayerState } from '@/core/piece/section'

export interface ClientWords {
  /** how dates are written */
  locale: Locale
  forWhom: (name: string) => string
  stages: Record<ClientStage, string>
  stageStates: Record<'done' | 'now' | 'ahead', string>
  /** what is said of it in one line, by what is being done */
  doing: Record<ClientStage | 'none' | 'ready', string>
  way: string
  promised: string
  earliest: string
  /** beside a promise that its own steps don't allow any more */
  later: (day: string) => string
  unknown: string
  isReady: string
  usableFrom: (day: string) => string
  photographs: string
  section: string
  sectionHint: string
  wood: string
  ground: string
  layers: Record<Layer['kind'], string>
  layerStates: Record<LayerState, string>
  record: string
  care: string
  careDated: (day: string) => string
  careText: string
  careSafety: string
  talk: string
  talkHint: string
  you: string
  ask: string
  send: string
  sending: string
  sent: string
  notSent: string
  empty: string
  tooMuch: string
  print: string
  over: string
  overHint: string
  kept: (day: string) => string
  deal: DealWords
  papers: PaperWords
}
/** What stands on an offer, whatever is made with it. */
export interface DealWords {
  offer: string
  change: string
  each: string
  asPlanned: string
  excluded: string
  total: string
  less: string
  deposit: string
  name: string
  accept: string
  decline: string
  accepting: string
  choose: string
  nameMissing: string
  over: string
  seal: string
  file: string
  agreed: string
  paid: string
  balance: string
  back: string
  payDeposit: string
  payBalance: string
  silent: string
  nothingDue: string
  accepted: (name: string, day: string) => string
  validUntil: (day: string) => string
  readyPromised: (day: string) => string
  readyEarliest: (day: string) => string
  taxed: (share: string) => string
  acceptedAtDesk: (day: string) => string
  declined: (day: string) => string
  ranOut: (day: string) => string
}

/** What stands on papers that a client keeps. */
export interface PaperWords {
  paper: string
  made: string
  touchUp: string
  touchUpHow: string
  oiled: string
  scan: string
  chosen: string
  offerPaper: string
  page: (n: number, all: number) => string
  agreedBy: (name: string, day: string) => string
  invoice: (number: number) => string
  creditNote: (number: number) => string
  /** above the figure of a credit note */
  back: string
  takesBack: (invoice: number, reason: string) => string
  taxWithin: (share: string) => string
  marginTaxed: string
}
