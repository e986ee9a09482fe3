/** How far a client's piece is: its stages on one plumb line, and the day. */
import type { ClientStep, Ready } from '@/core/piece/clientView'
import { clientDay, type ClientWords } from '@/words/client'

interface Props {
  words: ClientWords
  stages: readonly ClientStep[]
  /** null: not to be told */
  ready: Ready | null
  /** it has left the workshop */
  isLeft: boolean
}
export function ClientWay({ words, stages, ready, isLeft }: Props) {
  return (
    <section aria-labelledby="way" className="break-inside-avoid">
      <h2 id="way" className="title border-t-2 border-ink pt-3 text-3xl">
        {words.way}
      </h2>
      {ready && !isLeft && <Day words={words} ready={ready} />}
      {stages.length > 0 && (
        <ol className="relative mt-5 ml-2 border-l-2 border-line">
          {stages.map(({ stage, state }) => (
            <li
              key={stage}
              className="relative flex min-h-12 items-baseline gap-3 py-2 pl-7"
              aria-current={state === 'now' ? 'step' : undefined}
            >
              <Mark state={state} />
              <span className={`text-xl ${state === 'now' ? 'font-semibold' : ''} ${state === 'ahead' ? 'text-soft' : ''}`}>
                {words.stages[stage]}
              </span>
              <span className={state === 'now' ? 'font-semibold text-now' : 'text-soft'}>{words.stageStates[state]}</span>
            </li>
          ))}
        </ol>
      )}
    </section>
  )
}

/** Told apart by form as well as tone: full, a drop that hangs, a ring. */
function Mark({ state }: Pick<ClientStep, 'state'>) {
  return (
    <svg viewBox="0 0 24 24" aria-hidden className="absolute -left-[13px] top-2.5 size-6">
      {state === 'done' && <circle cx="12" cy="12" r="7" fill="var(--ink)" />}
      {state === 'now' && <path d="M12 1C15 8 20 11 20 15.5A8 8 0 0 1 4 15.5C4 11 9 8 12 1Z" fill="var(--now)" />}
      {state === 'ahead' && <circle cx="12" cy="12" r="6" fill="var(--ground)" stroke="var(--soft)" strokeWidth="2" />}
    </svg>
  )
}

function Day({ words, ready }: { words: ClientWords; ready: Ready }) {
  if (ready.is === 'unknown') return <p className="mt-4 font-serif text-xl">{words.unknown}</p>
  if (ready.is === 'ready')
    return (
      <>
        <p className="title mt-4 text-4xl">{words.isReady}</p>
        {ready.from && <p className="mt-1 font-serif text-xl">{words.usableFrom(clientDay(ready.from, words))}</p>}
      </>
    )
  const isLate = ready.is === 'promised' && ready.earliest !== null && ready.earliest > ready.day
  return (
    <>
      <p className="eyebrow mt-4">{ready.is === 'promised' ? words.promised : words.earliest}</p>
      <p className="title text-4xl">{clientDay(ready.day, words)}</p>
      {isLate && <p className="mt-1 font-serif text-xl">{words.later(clientDay(ready.earliest ?? '', words))}</p>}
    </>
  )
}
