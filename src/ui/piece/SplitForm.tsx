'use client'
/** How many of which part leave, and what they are called from then on. */
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { splitInput, type SplitText } from '@/core/input/piece'
import type { PartId, PieceId } from '@/core/measure/named'
import { splitFault } from '@/core/piece/split'
import { useActions } from '@/ui/form/actions'
import { TextField, Trouble } from '@/ui/form/Field'
import { useEntryForm } from '@/ui/form/useEntryForm'
import { splitFaultFields } from '@/words/split'

interface Props {
  piece: { id: PieceId; name: string }
  parts: readonly { id: PartId; name: string; count: number }[]
}

/** One whole article of a set: a share of each part that comes as often as it. */
function oneOf(parts: Props['parts']): Map<PartId, number> {
  const times = parts.map(({ count }) => count).filter((count) => count > 1)
  const set = times.length > 0 ? Math.min(...times) : 1
  return new Map(parts.map(({ id, count }) => [id, set > 1 && count % set === 0 ? count / set : 0]))
}

export function SplitForm({ piece, parts }: Props) {
  const { splitPiece } = useActions()
  const router = useRouter()
  const [defaults] = useState<SplitText>(() => {
    const one = oneOf(parts)
    return {
      pieceId: piece.id,
      newPieceId: uuidv7(),
      at: new Date().toISOString(),
      name: `One of: ${piece.name}`,
      leaving: parts.map(({ id }) => ({ partId: id, count: String(one.get(id) ?? 0) })),
    }
  })
  const [schema] = useState(() =>
    splitInput.superRefine(({ leaving }, context) => {
      const fault = splitFault(parts, new Map(leaving.map(({ partId, count }) => [partId, count])))
      for (const [path, message] of Object.entries(fault ? splitFaultFields(fault, leaving) : {}))
        context.addIssue({ code: 'custom', path: path.split('.'), message })
    }),
  )
  const { form, submit, pending, issue, troubleOf } = useEntryForm<SplitText>(schema, defaults, splitPiece, ({ newPieceId }) =>
    router.push(`/pieces/${newPieceId}`),
  )
  return (
    <form onSubmit={(event) => void submit(event)} noValidate className="mt-5 max-w-2xl space-y-4">
      <TextField label="What leaves is called" {...form.register('name')} trouble={troubleOf('name')} />
      <ul className="border-t border-line">
        {parts.map(({ id, name, count }, k) => (
          <li key={id} className="flex flex-wrap items-end justify-between gap-4 border-b border-line py-2">
            <span className="text-lg font-semibold">
              {count} × {name}
            </span>
            <TextField
              label={`Of ${name.toLowerCase()} leave`}
              inputMode="numeric"
              className="w-40"
              {...form.register(`leaving.${k}.count`)}
              trouble={troubleOf(`leaving.${k}.count`)}
            />
          </li>
        ))}
      </ul>
      <Trouble>{troubleOf('leaving') ?? issue}</Trouble>
      <button type="submit" disabled={pending} className="press press-now min-h-14 px-8 text-lg">
        Split it off
      </button>
    </form>
  )
}
