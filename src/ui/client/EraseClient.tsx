'use client'
/** What is known of a client, erased for good: by an owner, told before what goes, in two taps. */
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { eraseClientInput, type EraseClientText } from '@/core/input/client'
import { useActions } from '@/ui/form/actions'
import { TextField, Trouble } from '@/ui/form/Field'
import { useEntryForm } from '@/ui/form/useEntryForm'
import { useTapGuard } from '@/ui/form/useTapGuard'

interface Props {
  pieceId: string
  /** words of their name that are likely to stand in notes */
  likely: string
  known: { pieces: number; asked: number; links: number }
}
export function EraseClient({ pieceId, likely, known: { pieces, asked, links } }: Props) {
  const { eraseClient } = useActions()
  const router = useRouter()
  const [isOpen, setOpen] = useState(false)
  const [isLeft, setLeft] = useState(false)
  const leave = () => {
    setOpen(false)
    setLeft(true)
  }
  const { guard, stir } = useTapGuard()
  const { form, submit, pending, issue, troubleOf } = useEntryForm<EraseClientText>(
    eraseClientInput,
    { entryId: uuidv7(), pieceId, words: likely },
    eraseClient,
    (_, made) => {
      made.reset({ entryId: uuidv7(), pieceId, words: '' })
      setOpen(false)
      router.refresh()
    },
  )
  const goes = [
    `Their name goes from ${count(pieces, 'piece')}`,
    ...(asked > 0 ? [`${count(asked, 'question')} of theirs ${asked === 1 ? 'is' : 'are'} erased`] : []),
    ...(links > 0 ? [`${count(links, 'link')} ${links === 1 ? 'is' : 'are'} taken back`] : []),
  ]
  if (!isOpen)
    return (
      <button
        type="button"
        // who left the question is where they were
        autoFocus={isLeft}
        className="press mt-3"
        onClick={() => {
          stir()
          setOpen(true)
        }}
      >
        Erase this client…
      </button>
    )
  return (
    <form
      method="post"
      noValidate
      onSubmit={(event) => event.preventDefault()}
      onKeyDown={(event) => event.key === 'Escape' && leave()}
      className="mt-3 max-w-xl space-y-4 border-l-4 border-late pl-4"
    >
      <p className="text-lg font-semibold">{goes.join(', ')}. It can’t be undone.</p>
      <TextField
        label="And strike these words, set apart by commas"
        hint="Wherever they stand in notes, answers and names about these pieces. Figures, steps and costs stay as they are."
        autoFocus
        {...form.register('words')}
        trouble={troubleOf('words')}
      />
      <div className="flex flex-wrap gap-3">
        <button type="button" className="press min-h-12" disabled={pending} {...guard(() => void submit())}>
          {pending ? 'Erasing…' : 'Erase it for good'}
        </button>
        <button type="button" className="press min-h-12" onClick={leave}>
          Leave it
        </button>
      </div>
      <Trouble>{issue}</Trouble>
    </form>
  )
}
const count = (n: number, what: string) => (n === 1 ? `one ${what}` : `${n} ${what}s`)
