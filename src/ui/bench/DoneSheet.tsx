'use client'
/**
 * A step has ended: what went on, filled in from the plan and from the last like coat, and the check that ends it, asked in
 * its own words. The usual coat is one tap more; what is wrong becomes a snag and grows the plan.
 */
import { Dialog } from 'radix-ui'
import { createContext, useCallback, useContext, useRef, useState, type ReactNode } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { parseAmount } from '../../core/input/amount'
import { coatInput, type CoatText } from '../../core/input/entry'
import { sheens } from '../../core/log/entry'
import type { Reading } from '../../core/drying/windowFor'
import { AreaField, ChoiceField, pairs, TextField, Trouble } from '../form/Field'
import { useHouse } from '../form/house'
import { Sheet } from '../frame/Sheet'
import { isKey, useCalm } from '../form/useCalm'
import { useEntryForm } from '../form/useEntryForm'
import { useOutbox } from '../outbox/outbox'
import { StepPhoto } from '../photo/AddPhotos'
import { useNow } from '../time/now'
import { checkAsks, checkHows } from '../words/checks'
import { batchWords, lotWords } from '../words/stock'
import { SnagForm } from './SnagForm'
import type { CoatPlan, StepCard } from './stepCard'

type Open = (card: StepCard, endedAt: string, only?: 'coat') => void
const DoneSheetContext = createContext<Open>(() => undefined)
/** Opens the sheet for a step that ended at a moment; nothing opens where there is nothing to say. */
export const useDoneSheet = (): Open => useContext(DoneSheetContext)

export function DoneSheetProvider({ air, children }: { air: Reading | null; children: ReactNode }) {
  const [open, setOpen] = useState<{ card: StepCard; endedAt: string } | null>(null)
  const show = useCallback<Open>(
    (card, endedAt, only) => setOpen(card.coat || card.check ? { card: only ? { ...card, check: null } : card, endedAt } : null),
    [],
  )
  return (
    <DoneSheetContext value={show}>
      {children}
      {open && <DoneDialog key={open.card.stepId} {...open} air={air} done={() => setOpen(null)} />}
    </DoneSheetContext>
  )
}

function DoneDialog(props: Props) {
  const { send } = useOutbox()
  const { calm } = useCalm(true)
  const { card, endedAt, done } = props
  const [checkId] = useState(() => uuidv7())
  const on = { pieceId: card.pieceId, partId: card.partId, stepId: card.stepId, at: endedAt }
  const answer = (result: 'pass' | 'later') => {
    const about = `Checked: ${card.title}, ${card.pieceName}, ${card.partName.toLowerCase()}`
    if (card.check) void send('checkStep', { entryId: checkId, ...on, checkCode: card.check, result }, about)
    done()
  }
  return (
    // closed without an answer, the check is asked again later
    <Dialog.Root open onOpenChange={(next) => !next && answer('later')}>
      <Sheet
        onPointerDownOutside={(event) => calm || event.preventDefault()}
        onClickCapture={(event) => {
          if (calm || isKey(event)) return
          event.preventDefault()
          event.stopPropagation()
        }}
      >
        <div role="group" aria-disabled={calm ? undefined : true}>
          <Done {...props} answer={answer} />
        </div>
      </Sheet>
    </Dialog.Root>
  )
}

type Verdict = 'pass' | 'later' | 'fail'
interface Props {
  card: StepCard
  endedAt: string
  air: Reading | null
  done: () => void
}

function Done({ card, endedAt, air, done, answer }: Props & { answer: (result: 'pass' | 'later') => void }) {
  const [failedId] = useState(() => uuidv7())
  const [wrong, setWrong] = useState(false)
  const judge = (verdict: Verdict) => (verdict === 'fail' ? setWrong(true) : answer(verdict))
  return (
    <div>
      <p className="eyebrow">
        {card.pieceName} · {card.partName}
      </p>
      <Dialog.Title className="title text-3xl">{card.title}</Dialog.Title>
      {wrong ? (
        <div className="mt-3">
          <Dialog.Description className="mb-4 text-soft">What is wrong with it, and where?</Dialog.Description>
          <SnagForm
            on={{
              ...card,
              failed: card.check ? { entryId: failedId, stepId: card.stepId, checkCode: card.check } : null,
            }}
            done={done}
          />
        </div>
      ) : card.coat ? (
        <CoatForm card={card} plan={card.coat} endedAt={endedAt} air={air} judge={judge} />
      ) : (
        <>
          <Dialog.Description className="sr-only">Was it done well?</Dialog.Description>
          <Question card={card} />
          <div className="mt-5">
            <Verdicts words="Yes, well done" judge={judge} check />
          </div>
        </>
      )}
    </div>
  )
}

function Question({ card }: { card: StepCard }) {
  if (!card.check) return null
  return (
    <p className="mt-3 border-l-4 border-now pl-3">
      <strong className="block text-xl">{checkAsks[card.check]}</strong>
      <span className="text-soft">{checkHows[card.check]}</span>
    </p>
  )
}

function Verdicts({
  words,
  judge,
  check,
  pending,
}: {
  words: string
  judge: (v: Verdict) => void
  check: boolean
  pending?: boolean
}) {
  return (
    <div className="flex flex-wrap items-center justify-between gap-3">
      <button
        type="submit"
        disabled={pending}
        onClick={() => judge('pass')}
        className="press press-now min-h-16 flex-1 px-6 text-xl sm:order-last"
      >
        {words}
      </button>
      {check ? (
        <>
          <button type="submit" disabled={pending} onClick={() => judge('later')} className="press min-h-14">
            Look later
          </button>
          <button type="submit" disabled={pending} onClick={() => judge('fail')} className="press min-h-14">
            Something is wrong
          </button>
        </>
      ) : (
        <Dialog.Close className="press min-h-14">Not now</Dialog.Close>
      )}
    </div>
  )
}

const chips = ['Covered well', 'Needs one more', 'Ran a little', 'Patchy, drying light'] as const
const consistencies = ['cream', 'yoghurt', 'custard', 'putty'] as const
const tinShares = [
  ['¼', 1 / 4],
  ['⅓', 1 / 3],
  ['½', 1 / 2],
] as const
const films = ['thin', 'normal', 'heavy'] as const

function CoatForm({ card, plan, endedAt, air, judge }: Omit<Props, 'done'> & { plan: CoatPlan; judge: (v: Verdict) => void }) {
  const { send } = useOutbox()
  const verdict = useRef<Verdict>('pass')
  const [entryId] = useState(() => uuidv7())
  const about = `Coat: ${card.title}, ${card.pieceName}, ${card.partName.toLowerCase()}`
  const { form, submit, pending, issue, troubleOf } = useEntryForm<CoatText>(
    coatInput,
    {
      entryId,
      pieceId: card.pieceId,
      partId: card.partId,
      stepId: card.stepId,
      at: endedAt,
      productId: plan.tinId,
      lotId: plan.tins.find(({ id }) => id === plan.tinId)?.lots[0]?.id ?? '',
      batchId: plan.batchId,
      family: plan.family,
      mix: plan.mix,
      amount: String(plan.amount),
      applicator: plan.applicator,
      film: plan.film,
      sheen: '',
      place: '',
      temperature: air ? String(air.temperature) : '',
      humidity: air ? String(air.humidity) : '',
      note: '',
    },
    (typed) => send('logCoat', typed, about),
    () => judge(verdict.current),
  )
  const { register, watch, setValue } = form
  const { zone } = useHouse()
  const nowMs = useNow()
  const tin = plan.tins.find(({ id }) => id === watch('productId'))
  // of the tin in hand; the product's usual one where none was named
  const size = tin ? (tin.lots.find(({ id }) => id === watch('lotId'))?.size ?? tin.size) : null
  const measure = (text: string) => {
    const amount = parseAmount(text, size)
    if (amount !== null) setValue('amount', String(amount), { shouldValidate: true })
  }
  return (
    <form onSubmit={(event) => void submit(event)} className="mt-1 grid grid-cols-2 gap-x-4 gap-y-3" noValidate>
      <Dialog.Description className="col-span-2 text-soft">
        What went on. It is filled in from the plan: change what was different.
      </Dialog.Description>
      {plan.batches.length > 0 && (
        <ChoiceField
          label="From the mix"
          className="col-span-2"
          {...register('batchId')}
          options={[
            ...plan.batches.map((batch) => [batch.id, batchWords(batch, zone, nowMs)] as const),
            ['', 'No mix: from the tin'],
          ]}
        />
      )}
      {!watch('batchId') && (
        <>
          <ChoiceField
            label="Product"
            className={tin && tin.lots.length > 0 ? '' : 'col-span-2'}
            {...register('productId', { onChange: () => setValue('lotId', '') })}
            trouble={troubleOf('productId')}
            options={[...plan.tins.map(({ id, name }) => [id, name] as const), ['', 'Not from the shelf, no price']]}
          />
          {tin && tin.lots.length > 0 && (
            <ChoiceField
              label="From"
              {...register('lotId')}
              options={[...tin.lots.map((lot) => [lot.id, lotWords(lot, tin.unit)] as const), ['', 'whichever is open']]}
            />
          )}
        </>
      )}
      <div>
        <TextField
          label={`Amount, ${plan.unit}`}
          hint="Or: a third of the tin."
          {...register('amount', { onBlur: (event: { target: { value: string } }) => measure(event.target.value) })}
          trouble={troubleOf('amount')}
        />
        {size !== null && (
          <div className="mt-2 flex flex-wrap gap-2">
            {tinShares.map(([words, share]) => (
              <button
                key={words}
                type="button"
                className="press px-3 text-sm"
                aria-label={`${words} of the tin`}
                onClick={() => setValue('amount', String(Math.round(share * size)))}
              >
                {words} tin
              </button>
            ))}
          </div>
        )}
      </div>
      <fieldset>
        <legend className="mb-1 text-sm font-semibold">Film</legend>
        <div className="flex flex-wrap gap-2">
          {films.map((film) => (
            <button
              key={film}
              type="button"
              aria-pressed={watch('film') === film}
              onClick={() => setValue('film', film)}
              className="press px-3 aria-pressed:outline-3 aria-pressed:outline-now"
            >
              {film}
            </button>
          ))}
        </div>
      </fieldset>
      <TextField label="Mix" placeholder="as it comes" {...register('mix')} trouble={troubleOf('mix')} />
      <TextField label="Applicator" {...register('applicator')} trouble={troubleOf('applicator')} />
      <details className="col-span-2">
        <summary className="inline-flex min-h-12 cursor-pointer items-center font-semibold underline">
          Consistency, sheen, where, air, a note
        </summary>
        <div className="mt-1 grid grid-cols-2 gap-x-4 gap-y-3">
          <div className="col-span-2 flex flex-wrap gap-2" role="group" aria-label="Thick as">
            {consistencies.map((words) => (
              <button
                key={words}
                type="button"
                className="press px-3 text-sm"
                onClick={() => setValue('mix', `thick as ${words}`)}
              >
                thick as {words}
              </button>
            ))}
          </div>
          <ChoiceField label="Sheen" {...register('sheen')} options={[['', 'not said'], ...pairs(sheens)]} />
          <TextField label="Where, if not all of it" {...register('place')} trouble={troubleOf('place')} />
          <TextField label="Air, °C" inputMode="decimal" {...register('temperature')} trouble={troubleOf('temperature')} />
          <TextField label="Humidity, %" inputMode="decimal" {...register('humidity')} trouble={troubleOf('humidity')} />
          <AreaField label="Note" rows={2} {...register('note')} trouble={troubleOf('note')} className="col-span-2" />
        </div>
      </details>
      <div className="col-span-2 flex flex-wrap items-start gap-2">
        <StepPhoto card={card} />
        <div className="flex flex-wrap gap-2" role="group" aria-label="Said quickly">
          {chips.map((words) => (
            <button
              key={words}
              type="button"
              className="press px-3 text-sm"
              onClick={() => setValue('note', [form.getValues('note'), words].filter(Boolean).join('. '))}
            >
              {words}
            </button>
          ))}
        </div>
      </div>
      <div className="col-span-2">
        <Trouble>{issue}</Trouble>
        <Question card={card} />
      </div>
      <div className="sticky bottom-0 col-span-2 -mx-2 bg-sheet px-2 py-2">
        <Verdicts
          words={card.check ? 'All well, write it down' : 'Write it down'}
          judge={(chosen) => (verdict.current = chosen)}
          check={card.check !== null}
          pending={pending}
        />
      </div>
    </form>
  )
}
