'use client'
/** What a finger finds on a drying part, and what helps it dry: one tap each. */
import { v7 as uuidv7 } from 'uuid'
import type { WindowView } from '@/core/bench/stepCard'
import { ofKind } from '@/core/log/entry'
import type { PartId, PieceId } from '@/core/measure/named'
import { useOutbox } from '@/ui/outbox/useOutbox'

export interface FeelOn {
  pieceId: PieceId
  partId: PartId
  name: string
  /** lead is possible, or stripper is on: no heat */
  noHeat: boolean
}

const helpWords = { fan: 'Fan', heatGun: 'Heat gun' } as const

export function FeelRow({ on, window }: { on: FeelOn; window: WindowView }) {
  const { send, entries } = useOutbox()
  const { pieceId, partId, name } = on
  const at = () => new Date().toISOString()
  const said = ofKind(entries, 'seen').findLast(({ stepId }) => stepId === window.afterStepId)
  const see = (result: 'dry' | 'wet') =>
    void send(
      'seeDry',
      { entryId: uuidv7(), pieceId, partId, stepId: window.afterStepId, at: at(), result },
      `${result === 'dry' ? 'Dry' : 'Still wet'}: ${name}`,
    )
  const help = (assist: 'fan' | 'heatGun', turnOn: boolean) =>
    void send(
      'setAssist',
      { entryId: uuidv7(), pieceId, partId, at: at(), assist, on: turnOn },
      `${helpWords[assist]} ${turnOn ? 'on' : 'off'}: ${name}`,
    )
  return (
    <div className="relative z-10 flex flex-wrap items-center gap-2 bg-ground py-2">
      <button type="button" className="press px-3" aria-label={`Dry now: ${name}`} onClick={() => see('dry')}>
        Dry now
      </button>
      <button type="button" className="press px-3" aria-label={`Still wet: ${name}`} onClick={() => see('wet')}>
        Still wet
      </button>
      {(['fan', 'heatGun'] as const)
        .filter((kind) => kind === 'fan' || !on.noHeat)
        .map((kind) => {
          const running = window.assists.includes(kind)
          return (
            <button
              key={kind}
              type="button"
              className="press px-3 aria-pressed:outline-3 aria-pressed:outline-now"
              aria-pressed={running}
              aria-label={`${helpWords[kind]}: ${name}`}
              onClick={() => help(kind, !running)}
            >
              {helpWords[kind]} {running ? 'on' : ''}
            </button>
          )
        })}
      {window.assists.includes('heatGun') && (
        <span className="font-semibold text-late">Kept moving. Off at once if it smokes.</span>
      )}
      {said && <span className="font-semibold text-soft">{said.result === 'dry' ? 'Dry: noted.' : 'Still wet: noted.'}</span>}
    </div>
  )
}
