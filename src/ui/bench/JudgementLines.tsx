/** What the rules say of a part as it stands: what was logged, what is about to be begun, the stops its plan was taken with. */
import type { Judged } from '@/core/piece/judged'
import { ConflictLine } from '@/ui/plan/ConflictLine'
import { airWords } from '@/words/conflicts'

export function JudgementLines({ judged, className = '' }: { judged: Judged; className?: string }) {
  const { air, behind, next, ahead } = judged
  return (
    <div className={className} role="note" aria-label="What the rules say">
      {air && <p className="border-l-4 border-late pl-3 font-semibold text-late">{airWords[air]}</p>}
      {behind.length > 0 && <p className="mt-2 text-soft">Of what was logged last:</p>}
      {behind.map((conflict) => (
        <ConflictLine key={conflict.code} conflict={conflict} />
      ))}
      {next.length > 0 && <p className="mt-2 text-soft">Of what comes now:</p>}
      {next.map((conflict) => (
        <ConflictLine key={conflict.code} conflict={conflict} />
      ))}
      {ahead.length > 0 && <p className="mt-2 text-soft">Further on in this plan:</p>}
      {ahead.map((conflict, k) => (
        <ConflictLine key={`${conflict.code} ${k}`} conflict={conflict} />
      ))}
    </div>
  )
}
