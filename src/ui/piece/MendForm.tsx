'use client'
/** What went wrong on a part: its cause and its remedy are said, and the plan grows by the steps that mend it. */
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { getRepair, repairCodes, type RepairCode } from '../../core/finish/repairs'
import { useActions } from '../form/actions'
import { AreaField, ChoiceField, Trouble } from '../form/Field'
import { useWrite } from '../form/useWrite'

export function MendForm({ pieceId, partId }: { pieceId: string; partId: string }) {
  const { mendPart } = useActions()
  const write = useWrite(mendPart)
  const router = useRouter()
  const [ids, setIds] = useState(fresh)
  const [code, setCode] = useState<RepairCode | ''>('')
  const [note, setNote] = useState('')
  const repair = code === '' ? null : getRepair(code)
  const save = async () => {
    if (code === '') return
    if (!(await write.send({ ...ids, pieceId, partId, at: new Date().toISOString(), repair: code, note }))) return
    setCode('')
    setNote('')
    setIds(fresh())
    router.refresh()
  }
  return (
    <details className="unprinted mt-3">
      <summary className="inline-flex min-h-12 cursor-pointer items-center font-semibold underline">Something went wrong</summary>
      <div className="mt-1 max-w-xl space-y-3">
        <ChoiceField
          label="What is wrong"
          value={code}
          onChange={(event) => setCode(event.target.value as RepairCode | '')}
          options={[['', 'Choose'], ...repairCodes.map((each) => [each, getRepair(each).words] as const)]}
        />
        {repair && (
          <>
            <p>
              <span className="text-soft">{repair.cause}</span> <strong>{repair.remedy}</strong>
            </p>
            <AreaField label="Note" rows={2} value={note} onChange={(event) => setNote(event.target.value)} />
            <Trouble>{write.issue}</Trouble>
            <button type="button" disabled={write.pending} onClick={() => void save()} className="press press-now">
              {write.pending ? 'Writing…' : 'Put the mending into the plan'}
            </button>
          </>
        )}
      </div>
    </details>
  )
}

const fresh = () => ({ planId: uuidv7(), entryId: uuidv7(), stepIds: Array.from({ length: 100 }, () => uuidv7()) })
