'use client'
/** What the interface may ask the server to write. The application puts the real actions in; tests may put in others. */
import { createContext, type ReactNode, useContext, useMemo } from 'react'
import type { ClientAnswerText, ClientLinkBackText, ClientLinkText, ClientPageText, EraseClientText } from '@/core/input/client'
import type { InviteBackText, InviteText, PasswordKeyText, RoleText, SendAwayText } from '@/core/input/door'
import type { CorrectionText, ReadingText, StrikeText } from '@/core/input/entry'
import type {
  CalendarText,
  ChannelText,
  ConsumablesText,
  DryingText,
  EmptyLotText,
  LotText,
  ProductText,
  RestText,
  RevokeText,
  RoomText,
  StudioText,
} from '@/core/input/house'
import type { Answer } from '@/core/input/issues'
import type { CareText, JobText } from '@/core/input/job'
import type { LabelsText } from '@/core/input/label'
import type {
  AddPartText,
  AmendText,
  ChangePartText,
  EndingText,
  FindingText,
  IntakeText,
  ListingText,
  MethodText,
  PlanText,
  RecipeText,
  SplitText,
  TakeOutText,
} from '@/core/input/piece'
import type { PricingText } from '@/core/input/pricing'
import type {
  AnswerQuoteText,
  PaymentText,
  QuoteText,
  RefundText,
  StrikePaymentText,
  WithdrawQuoteText,
} from '@/core/input/quote'
import type { CreditText, InvoiceText } from '@/core/input/receipt'
import type { ShelfTableText } from '@/core/input/shelfTable'
import type { CountText } from '@/core/input/stock'
import type { DryingPlacesText, ForecastBackText, ForecastText, PersonHoursText, PersonText, WeekText } from '@/core/input/week'
import { writing } from '@/ui/time/writing'

type Ask<T> = (typed: T) => Promise<Answer>

export interface Actions {
  addAirReading: Ask<ReadingText>
  offerQuote: Ask<QuoteText>
  withdrawQuote: Ask<WithdrawQuoteText>
  answerQuote: Ask<AnswerQuoteText>
  keepPayment: Ask<PaymentText>
  strikePayment: Ask<StrikePaymentText>
  refund: Ask<RefundText>
  keepClientPage: Ask<ClientPageText>
  makeClientLink: Ask<ClientLinkText>
  takeBackClientLink: Ask<ClientLinkBackText>
  answerClient: Ask<ClientAnswerText>
  eraseClient: Ask<EraseClientText>
  correctEntry: Ask<CorrectionText>
  strikeEntry: Ask<StrikeText>
  takeIn: Ask<IntakeText>
  addPartToPiece: Ask<AddPartText>
  changePartFacts: Ask<ChangePartText>
  takePart: Ask<TakeOutText>
  splitPiece: Ask<SplitText>
  amendPiece: Ask<AmendText>
  keepFindings: Ask<FindingText>
  keepRecipe: Ask<RecipeText>
  planPart: Ask<PlanText>
  planJob: Ask<JobText>
  planCare: Ask<CareText>
  listForSale: Ask<ListingText>
  endPiece: Ask<EndingText>
  makeInvoice: Ask<InvoiceText>
  makeCredit: Ask<CreditText>
  changeStudio: Ask<StudioText>
  keepMethod: Ask<MethodText>
  keepChannel: Ask<ChannelText>
  keepConsumables: Ask<ConsumablesText>
  keepPricing: Ask<PricingText>
  keepWeek: Ask<WeekText>
  invite: Ask<InviteText>
  takeBackInvitation: Ask<InviteBackText>
  makeNewPassword: Ask<PasswordKeyText>
  changeMemberRole: Ask<RoleText>
  endMemberCodes: Ask<SendAwayText>
  sendMemberAway: Ask<SendAwayText>
  keepForecast: Ask<ForecastText>
  takeBackForecast: Ask<ForecastBackText>
  keepPerson: Ask<PersonText>
  keepPersonHours: Ask<PersonHoursText>
  keepDryingPlaces: Ask<DryingPlacesText>
  keepProduct: Ask<ProductText>
  buyLot: Ask<LotText>
  emptyTin: Ask<EmptyLotText>
  countTins: Ask<CountText>
  bringInShelf: Ask<ShelfTableText>
  keepLabels: Ask<LabelsText>
  putBy: Ask<RestText>
  keepRoom: Ask<RoomText>
  takeDryingFigure: Ask<DryingText>
  makeCalendar: Ask<CalendarText>
  revokeCalendar: Ask<RevokeText>
}

const ActionsContext = createContext<Actions | null>(null)

export function ActionsProvider({ actions, children }: { actions: Actions; children: ReactNode }) {
  const known = useMemo(() => knownOf(actions), [actions])
  return <ActionsContext value={known}>{children}</ActionsContext>
}
/** Each known of while it is on its way. */
const knownOf = (actions: Actions): Actions =>
  Object.fromEntries(
    Object.entries(actions).map(([name, ask]: [string, Ask<never>]) => [name, (typed: never) => writing(() => ask(typed))]),
  ) as unknown as Actions

export function useActions(): Actions {
  const actions = useContext(ActionsContext)
  if (!actions) throw new Error('useActions outside of ActionsProvider')
  return actions
}
