'use client'
/** What the studio writes to a client; a draft is kept until it is stored. */
import { useRouter } from 'next/navigation'
import { v7 as uuidv7 } from 'uuid'
import { clientAnswerInput, type ClientAnswerText } from '@/core/input/client'
import { useActions } from '@/ui/form/actions'
import { AreaField, Trouble } from '@/ui/form/Field'
import { useEntryForm } from '@/ui/form/useEntryForm'

export function AnswerClient({ pieceId }: { pieceId: string }) {
  const { answerClient } = useActions()
  const router = useRouter()
  const { form, submit, pending, issue, troubleOf } = useEntryForm<ClientAnswerText>(
    clientAnswerInput,
    { id: uuidv7(), pieceId, words: '' },
    answerClient,
    (_, made) => {
      made.reset({ id: uuidv7(), pieceId, words: '' })
      router.refresh()
    },
    `itinerum.draft.answer.${pieceId}`,
  )
  return (
    <form method="post" noValidate onSubmit={(event) => void submit(event)} className="mt-5">
      <AreaField label="Write to the client" {...form.register('words')} trouble={troubleOf('words')} />
      <p className="mt-1 text-sm text-soft">It stands on their page, under the studio’s name.</p>
      <Trouble>{issue}</Trouble>
      <button type="submit" className="press mt-3" disabled={pending}>
        {pending ? 'Sending it…' : 'Send it'}
      </button>
    </form>
  )
}
