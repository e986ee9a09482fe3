'use client'
/** Each product with its drying, its cure and how far it goes: by its own label where it says so, else by its family. */
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { type FamilyCode, getFamily } from '@/core/craft/families'
import { labelled } from '@/core/craft/label'
import { coverageText, coverageUnit, labelInput, type LabelsText, labelText, pairText, timesText } from '@/core/input/label'
import type { Product } from '@/core/stock/product'
import { useActions } from '@/ui/form/actions'
import { TextField } from '@/ui/form/Field'
import { FormFoot } from '@/ui/form/FormFoot'
import { useHouse } from '@/ui/form/house'
import { useEntryForm } from '@/ui/form/useEntryForm'
import { capital } from '@/words/text'

export function LabelList({ products }: { products: readonly Product[] }) {
  const families = [...new Set(products.map(({ family }) => family))]
  return (
    <div className="mt-6 grid gap-x-12 gap-y-8 lg:grid-cols-2">
      {families.map((family) => (
        <section key={family} aria-label={capital(getFamily(family).words)} className="border-t-2 border-ink pt-3">
          <h2 className="title text-2xl">{capital(getFamily(family).words)}</h2>
          <ul>
            {products
              .filter((product) => product.family === family)
              .map((product, _, alike) => (
                <Row key={product.id} {...{ product, alike }} />
              ))}
          </ul>
        </section>
      ))}
    </div>
  )
}

function Row({ product, alike }: { product: Product; alike: readonly Product[] }) {
  const [open, setOpen] = useState(false)
  return (
    <li className="border-b border-line">
      <details open={open} onToggle={(event) => setOpen(event.currentTarget.open)}>
        <summary className="grid min-h-14 cursor-pointer grid-cols-[1fr_auto] items-baseline gap-x-4 py-3">
          <strong className="text-lg leading-tight">{product.colourName ?? product.name}</strong>
          <span className={`underline underline-offset-4 ${product.label ? 'font-semibold' : 'text-soft'}`}>
            {product.label ? 'by its label' : 'as its family'}
          </span>
          <Figures product={product} />
        </summary>
        {open && <LabelForm {...{ product, alike }} kept={() => setOpen(false)} />}
      </details>
    </li>
  )
}

/** What counts of it just now; what is its own stands out. */
function Figures({ product: { family, unit, label = null } }: { product: Product }) {
  const house = useHouse()
  const { touchDry, recoat, cureDays, coverage } = labelled(family, label)
  const figures = [
    { key: 'touchDry', words: 'touch dry', says: touchDry && timesText(touchDry, house) },
    { key: 'recoat', words: 'next coat', says: recoat && timesText(recoat, house) },
    { key: 'cureDays', words: 'hard', says: cureDays && `${pairText(cureDays, house)} d` },
    { key: 'coverage', words: coverageUnit(unit, house).words, says: coverageText(coverage, unit, house) },
  ] as const
  return (
    <span className="col-span-2 mt-1 flex flex-wrap gap-x-5 gap-y-1">
      {figures.map(
        ({ key, words, says }) =>
          says && (
            <span key={key} className={label?.[key] ? 'font-semibold' : 'text-soft'}>
              <span className="figure text-xl">{says}</span> {words}
            </span>
          ),
      )}
    </span>
  )
}

function LabelForm({ product, alike, kept }: { product: Product; alike: readonly Product[]; kept: () => void }) {
  const { keepLabels } = useActions()
  const house = useHouse()
  const router = useRouter()
  const [all, setAll] = useState(false)
  const { form, submit, pending, issue, troubleOf } = useEntryForm<LabelsText>(
    labelInput(house),
    { labels: [labelText(product, house)] },
    (typed) =>
      keepLabels({
        labels: all ? alike.flatMap(({ id }) => typed.labels.map((label) => ({ ...label, productId: id }))) : typed.labels,
      }),
    () => {
      kept()
      router.refresh()
    },
  )
  const usual = labelText({ ...product, label: familyLabel(product.family) }, house)
  const field = (key: 'touchDry' | 'recoat' | 'cure' | 'coverage', label: string) => (
    <TextField
      label={label}
      placeholder={usual[key]}
      {...form.register(`labels.0.${key}`)}
      trouble={troubleOf(`labels.0.${key}`)}
    />
  )
  return (
    <form onSubmit={(event) => void submit(event)} noValidate className="grid grid-cols-2 items-end gap-3 pb-4">
      {field('touchDry', 'Touch dry after')}
      {field('recoat', 'Next coat after')}
      {field('cure', 'Hard after, days')}
      {field('coverage', `Goes so far, ${coverageUnit(product.unit, house).words}`)}
      {alike.length > 1 && (
        <label className="col-span-2 flex min-h-12 items-center gap-3 font-semibold">
          <input type="checkbox" className="size-6 accent-now" checked={all} onChange={(event) => setAll(event.target.checked)} />
          The same on all {getFamily(product.family).words} here
        </label>
      )}
      <FormFoot {...{ issue, pending }} className="col-span-2" words="Keep it" kept={false} />
    </form>
  )
}
const familyLabel = (family: FamilyCode) => {
  const { touchDry, recoat, cureDays, coverage } = getFamily(family)
  return { touchDry, recoat, cureDays, coverage }
}
