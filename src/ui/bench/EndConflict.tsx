'use client'
/** Two people ended one step: both stand in the log, one counts, and here somebody says which. */
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import type { Entry } from '@/core/log/entry'
import { useActions } from '@/ui/form/actions'
import { Trouble } from '@/ui/form/Field'
import { useHouse } from '@/ui/form/house'
import { useMoment } from '@/ui/form/useMoment'
import { useWrite } from '@/ui/form/useWrite'
import { useHands } from '@/ui/outbox/hands'
import { clockTime } from '@/words/time'

export function EndConflict({ counts, beside }: { counts: Entry; beside: Entry }) {
  const { strikeEntry } = useActions()
  const write = useWrite(strikeEntry)
  const router = useRouter()
  const house = useHouse()
  const { people } = useHands()
  const [entryId] = useState(() => uuidv7())
  const moment = useMoment(entryId)
  const said = ({ at, personId }: Entry) =>
    [clockTime(at, house), people.find(({ id }) => id === personId)?.name].filter(Boolean).join(', ')
  const strike = async ({ id, pieceId }: Entry) => {
    if (await write.send({ entryId, corrects: id, pieceId, at: moment() })) router.refresh()
  }
  return (
    <div className="my-2 border-l-4 border-late pl-3">
      <p className="font-semibold">Two people ended this step.</p>
      <div className="mt-1 flex flex-wrap gap-2">
        <button type="button" className="press" disabled={write.pending} onClick={() => void strike(beside)}>
          The first counts: {said(counts)}
        </button>
        <button type="button" className="press" disabled={write.pending} onClick={() => void strike(counts)}>
          The second counts: {said(beside)}
        </button>
      </div>
      <Trouble>{write.issue}</Trouble>
    </div>
  )
}
