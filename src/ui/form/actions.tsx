'use client'
/** What the interface may ask the server to write. The application puts the real actions in; tests may put in others. */
import { createContext, useContext, type ReactNode } from 'react'
import type {
  CoatText,
  CorrectionText,
  CostText,
  EndText,
  LeaveOutText,
  NoteText,
  ReadingText,
  StartText,
  StrikeText,
} from '../../core/input/entry'
import type { ChannelText, ProductText, StudioText } from '../../core/input/house'
import type {
  AddPartText,
  AmendText,
  EndingText,
  FindingText,
  IntakeText,
  ListingText,
  MendText,
  MethodText,
  RecipeText,
  PlanText,
} from '../../core/input/piece'
import type { IssueCode } from '../words/issues'

export type Answer = { ok: true } | { issue: IssueCode; fields?: Record<string, string> }
type Ask<T> = (typed: T) => Promise<Answer>

export interface Actions {
  startStep: Ask<StartText>
  endStep: Ask<EndText>
  leaveOutStep: Ask<LeaveOutText>
  logCoat: Ask<CoatText>
  addCost: Ask<CostText>
  addNote: Ask<NoteText>
  addAirReading: Ask<ReadingText>
  correctEntry: Ask<CorrectionText>
  strikeEntry: Ask<StrikeText>
  takeIn: Ask<IntakeText>
  addPartToPiece: Ask<AddPartText>
  amendPiece: Ask<AmendText>
  keepFindings: Ask<FindingText>
  mendPart: Ask<MendText>
  keepRecipe: Ask<RecipeText>
  planPart: Ask<PlanText>
  listForSale: Ask<ListingText>
  endPiece: Ask<EndingText>
  changeStudio: Ask<StudioText>
  keepMethod: Ask<MethodText>
  keepChannel: Ask<ChannelText>
  keepProduct: Ask<ProductText>
}

const ActionsContext = createContext<Actions | null>(null)

export function ActionsProvider({ actions, children }: { actions: Actions; children: ReactNode }) {
  return <ActionsContext value={actions}>{children}</ActionsContext>
}

export function useActions(): Actions {
  const actions = useContext(ActionsContext)
  if (!actions) throw new Error('useActions outside of ActionsProvider')
  return actions
}
