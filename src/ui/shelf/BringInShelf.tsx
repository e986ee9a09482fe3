'use client'
/** A table of tins chosen or pasted, read here and shown as it will stand on the shelf; nothing is sent before it is looked at. */
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { readShelfTable, type ReadTable } from '@/core/input/shelfTable'
import type { Product, ShelfLot } from '@/core/stock/product'
import { ChooseFile } from '@/ui/form/ChooseFile'
import { Trouble } from '@/ui/form/Field'
import { useHouse } from '@/ui/form/house'
import { ShelfTable } from './ShelfTable'

interface Props {
  products: readonly Product[]
  lots: readonly Pick<ShelfLot, 'productId' | 'code'>[]
}
const sample = `name;family;colour;value;size;price;left;stamped
Field tin;chalk mineral paint;Heron Slate;#51636b;500 ml;19.50;320 ml;4417
Satin clear;water-based clear;;;1 l;34.00;;`
/** a table of five hundred tins is far below it */
const mostBytes = 2_000_000

export function BringInShelf({ products, lots }: Props) {
  const house = useHouse()
  const [read, setRead] = useState<{ table: ReadTable; entryId: string; from: string } | null>(null)
  const [pasted, setPasted] = useState('')
  const take = (text: string, from: string) =>
    setRead({ table: readShelfTable(text, house, { products, lots }, uuidv7), entryId: uuidv7(), from })
  const choose = async (file: File | undefined) => {
    if (!file) return
    if (file.size > mostBytes)
      return setRead({ table: { trouble: 'It is too large for a table of tins.' }, entryId: '', from: file.name })
    take(await file.text(), file.name)
  }
  return (
    <div className="mt-4 space-y-6">
      <p className="max-w-prose text-lg text-soft">
        A table as CSV, its first line naming the columns: <strong>name, family, size</strong> and <strong>price</strong>, and
        where you have them colour, value (#51636b), sheen, left and stamped. Sizes and money as you write them here.
      </p>
      <div className="flex flex-wrap items-center gap-3">
        <ChooseFile words="Choose a file" accept=".csv,.tsv,.txt,text/csv,text/plain" choose={choose} className="press-now" />
        <span className="text-soft">or put its lines here:</span>
      </div>
      <div className="max-w-3xl">
        <textarea
          aria-label="Its lines"
          rows={4}
          value={pasted}
          placeholder={sample}
          onChange={({ target }) => setPasted(target.value)}
          className="field h-auto w-full font-mono text-sm"
        />
        <button
          type="button"
          className="press mt-2"
          disabled={pasted.trim() === ''}
          onClick={() => take(pasted, 'what you put here')}
        >
          Read it
        </button>
      </div>
      {read && (
        <section aria-labelledby="read" className="border-t-2 border-ink pt-3">
          <h2 id="read" className="title text-3xl">
            In {read.from}
          </h2>
          {'trouble' in read.table ? (
            <Trouble>{read.table.trouble}</Trouble>
          ) : (
            <ShelfTable
              key={read.entryId}
              table={read.table}
              entryId={read.entryId}
              done={() => {
                setPasted('')
              }}
            />
          )}
        </section>
      )}
    </div>
  )
}
