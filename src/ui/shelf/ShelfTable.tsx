'use client'
/** A table of tins as it was read: each line as it will stand on the shelf, or what is wrong with it; then one tap puts them there. */
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { getFamily } from '@/core/craft/families'
import { codesOf } from '@/core/craft/parts'
import { sheens } from '@/core/craft/sheen'
import { type ReadLine, type ReadTable, shelfColumns, shelfTableText } from '@/core/input/shelfTable'
import { useActions } from '@/ui/form/actions'
import { Trouble } from '@/ui/form/Field'
import { useWrite } from '@/ui/form/useWrite'
import { Link } from '@/ui/frame/Link'

interface Props {
  table: Extract<ReadTable, { lines: unknown }>
  entryId: string
  done: () => void
}
const counted = (n: number) => (n === 1 ? 'one tin' : `${n} tins`)
const isWhole = ({ troubles }: ReadLine) => Object.keys(troubles).length === 0

export function ShelfTable({ table: { lines, ignored }, entryId, done }: Props) {
  const router = useRouter()
  const { bringInShelf } = useActions()
  const { send, pending, issue, fields } = useWrite(bringInShelf)
  const [without, setWithout] = useState(false)
  const [stands, setStands] = useState(false)
  // sent twice it is one table, of one moment
  const [at] = useState(() => new Date().toISOString())
  const whole = lines.filter(isWhole)
  const broken = lines.length - whole.length
  const put = async () => {
    if (!(await send(shelfTableText(lines, entryId, at)))) return
    setStands(true)
    done()
    router.refresh()
  }
  if (stands)
    return (
      <p role="status" className="mt-3 text-xl">
        {counted(whole.length)} put on the shelf. <Link href="/shelf">See them there</Link>
      </p>
    )
  return (
    <>
      {ignored.length > 0 && <p className="mt-1 text-soft">Not read: {ignored.join(', ')}.</p>}
      <ul className="mt-2">
        {lines.map((line) => (
          <Line key={line.row} line={line} />
        ))}
      </ul>
      <div className="mt-4 space-y-3">
        {broken > 0 && (
          <label className="flex min-h-12 cursor-pointer items-center gap-3">
            <input type="checkbox" checked={without} onChange={({ target }) => setWithout(target.checked)} className="size-6" />
            {broken === 1 ? 'Leave out the line that can’t be read' : `Leave out the ${broken} lines that can’t be read`}
          </label>
        )}
        <button
          type="button"
          className="press press-now min-h-14 px-8 text-lg"
          disabled={pending || whole.length === 0 || (broken > 0 && !without)}
          onClick={() => void put()}
        >
          Put {counted(whole.length)} on the shelf
        </button>
        <Trouble>{Object.values(fields)[0] ?? issue}</Trouble>
      </div>
    </>
  )
}

function Line({ line: { row, cells, typed, troubles } }: { line: ReadLine }) {
  const wrong = codesOf(shelfColumns).filter((column) => troubles[column])
  return (
    <li
      className={`grid grid-cols-[2.5rem_2rem_1fr_auto] items-baseline gap-x-3 border-b border-line py-2 ${wrong.length > 0 ? '-ml-3 border-l-4 border-l-late pl-2' : ''}`}
    >
      <span className="text-sm text-soft">{row}</span>
      <span
        aria-hidden
        className="size-6 self-center rounded-sm border border-ink/30"
        style={{ background: troubles.value || typed.colourHex === '' ? 'transparent' : typed.colourHex }}
      />
      <span className="min-w-0">
        <span className="font-semibold">{cells.colour || cells.name || '—'}</span>{' '}
        <span className="text-soft">
          {[
            cells.colour && cells.name,
            troubles.family ? cells.family : getFamily(typed.family).words,
            typed.sheen && sheens[typed.sheen],
            cells.code && `stamped ${cells.code}`,
          ]
            .filter(Boolean)
            .join(', ')}
          {typed.known && ' · another tin of what stands there'}
        </span>
        {wrong.map((column) => (
          <span key={column} className="block font-semibold text-late">
            {column}
            {cells[column] ? ` “${cells[column]}”` : ''}: {troubles[column]}
          </span>
        ))}
      </span>
      <span className="text-right text-soft">
        {cells.left ? `${cells.left} of ${cells.size}` : cells.size}
        <span className="block">{cells.price}</span>
      </span>
    </li>
  )
}
