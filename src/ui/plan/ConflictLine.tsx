/** What will not get on, in a sentence, and what mends it. */
import type { ReactNode } from 'react'
import { getOperation } from '@/core/craft/operations'
import type { Conflict } from '@/core/stack/checkStack'
import { conflictWords, severityWords } from '@/words/conflicts'

export function ConflictLine({ conflict, mend }: { conflict: Conflict; mend?: ReactNode }) {
  const tone = conflict.severity === 'advice' ? 'border-now' : 'border-late text-late'
  const remedies = conflict.remedies.map(({ operation }) => getOperation(operation).words.toLowerCase())
  return (
    <span className={`mt-1 block border-l-4 pl-3 font-semibold ${tone}`}>
      {severityWords[conflict.severity]}: {conflictWords[conflict.code]}
      {remedies.length > 0 && <span className="block font-normal text-ink">Mends it: {remedies.join(', then ')}.</span>}
      {mend}
    </span>
  )
}
