'use client'
/** Labels shared with others: taken along as a file, and brought in, each looked at before it counts. */
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { type BroughtLabels, labelText, readLabels } from '@/core/input/label'
import type { Product } from '@/core/stock/product'
import { useActions } from '@/ui/form/actions'
import { ChooseFile } from '@/ui/form/ChooseFile'
import { Trouble } from '@/ui/form/Field'
import { useHouse } from '@/ui/form/house'
import { useWrite } from '@/ui/form/useWrite'

const mostBytes = 400_000

export function BringInLabels({ products }: { products: readonly Product[] }) {
  const { keepLabels } = useActions()
  const house = useHouse()
  const router = useRouter()
  const { send, pending, issue } = useWrite(keepLabels)
  const [read, setRead] = useState<BroughtLabels | null>(null)
  const [taken, setTaken] = useState(0)
  const choose = async (file: File | undefined) => {
    if (!file) return
    setTaken(0)
    setRead(file.size > mostBytes ? { trouble: 'It is too large for labels.' } : readLabels(await file.text(), products))
  }
  const found = read && 'found' in read ? read.found : []
  const take = async () => {
    const labels = found.map(({ product, label }) => labelText({ ...product, label }, house))
    if (!(await send({ labels }))) return
    setTaken(labels.length)
    setRead(null)
    router.refresh()
  }
  return (
    <section aria-labelledby="share" className="mt-12 border-t-2 border-ink pt-4">
      <h2 id="share" className="title text-3xl">
        Shared with others
      </h2>
      <div className="mt-3 flex flex-wrap items-center gap-3">
        {products.some(({ label }) => label) && (
          <a href="/api/shelf/labels" className="press">
            Take these along (JSON)
          </a>
        )}
        <ChooseFile words="Bring some in" accept=".json,application/json" choose={choose} />
      </div>
      <p role="status" className="mt-3 empty:hidden">
        {taken > 0 && `${taken === 1 ? 'One label counts' : `${taken} labels count`} now.`}
      </p>
      {read && 'trouble' in read && <Trouble>{read.trouble}</Trouble>}
      {read && 'found' in read && (
        <>
          {found.length === 0 && <p className="mt-3 text-lg">None of them is of a tin that stands here.</p>}
          <ul className="mt-3 max-w-3xl">
            {found.map(({ product, by, label }) => {
              const { touchDry, recoat, cure, coverage } = labelText({ ...product, label }, house)
              return (
                <li key={product.id} className="border-b border-line py-2">
                  <strong>{product.name}</strong>
                  {by === 'line' && <span className="text-soft">, as another colour of it</span>}
                  <span className="block text-soft">
                    {[
                      touchDry && `touch dry ${touchDry}`,
                      recoat && `next coat ${recoat}`,
                      cure && `hard ${cure} d`,
                      coverage && `goes ${coverage}`,
                    ]
                      .filter(Boolean)
                      .join(' · ')}
                  </span>
                </li>
              )
            })}
          </ul>
          {read.unknown.length > 0 && <p className="mt-2 text-soft">Not here: {read.unknown.join('; ')}.</p>}
          {found.length > 0 && (
            <button type="button" className="press press-now mt-4" disabled={pending} onClick={() => void take()}>
              {found.length === 1 ? 'Take this label' : `Take these ${found.length} labels`}
            </button>
          )}
        </>
      )}
      <Trouble>{issue}</Trouble>
    </section>
  )
}
