'use client'
/** Taking a piece in: where from, for how much, what it is made of and measures, what it looks like. Kept while typing. */
import { useRouter } from 'next/navigation'
import { type ReactNode, useState } from 'react'
import { type Control, type FieldPath, useFieldArray, type UseFormRegister } from 'react-hook-form'
import { v7 as uuidv7 } from 'uuid'
import type { HouseMethod } from '@/core/craft/method'
import { intakeInput, type IntakeText } from '@/core/input/piece'
import { dayOf } from '@/core/measure/time'
import { sources } from '@/core/piece/piece'
import { useActions } from '@/ui/form/actions'
import { AreaField, ChoiceField, pairs, TextField, Trouble } from '@/ui/form/Field'
import { useHouse } from '@/ui/form/house'
import { useEntryForm } from '@/ui/form/useEntryForm'
import { Counts } from '@/ui/job/Counts'
import { PhotoPicker, usePhotos } from '@/ui/photo/PhotoPicker'
import { useNow } from '@/ui/time/now'
import { ArticleForm } from './ArticleForm'
import { IntakeReady, type LookName } from './IntakeReady'
import { newPart, PartFields, type PartsText, type PartText } from './PartFields'
import { forgetArticle, useArticle } from './useArticle'

export function IntakeForm({ method, looks }: { method: HouseMethod; looks: readonly LookName[] }) {
  const house = useHouse()
  const nowMs = useNow()
  const { takeIn } = useActions()
  const router = useRouter()
  const photos = usePhotos()
  const [standing, setStanding] = useState<string | null>(null)
  const [defaults] = useState<IntakeText>(() => ({
    id: uuidv7(),
    boughtEntryId: uuidv7(),
    fetchingEntryId: uuidv7(),
    takenInOn: dayOf(new Date(nowMs).toISOString(), house.zone),
    name: '',
    source: 'auction',
    sourceNote: '',
    client: '',
    promisedOn: '',
    expected: '',
    condition: '',
    bought: '',
    fetching: '',
    parts: [newPart(null, house)],
    counted: {},
  }))
  const { form, submit, pending, issue, troubleOf } = useEntryForm<IntakeText>(
    intakeInput(house),
    defaults,
    takeIn,
    async ({ id, name }) => {
      forgetArticle()
      const whole = { pieceId: id, partId: null, stepId: null }
      const allWell = await photos.send(photos.chosen, { ...whole, moment: 'before', alt: `${name}, before` })
      if (allWell) router.push(`/pieces/${id}`)
      else setStanding(id)
    },
    'draft:intake',
  )
  const { register, control } = form
  const parts = useFieldArray({ control, name: 'parts', keyName: 'key' })
  const { article, choose, change, setAll } = useArticle(form, parts)
  const slot = (name: FieldPath<IntakeText>) => ({ ...register(name), trouble: troubleOf(name) })

  return (
    <form onSubmit={(event) => void submit(event)} noValidate className="space-y-10 pb-10">
      <WhereFrom slot={slot} />

      <section aria-labelledby="photographs">
        <h2 id="photographs" className="title mb-3 text-3xl">
          Photographs
        </h2>
        <PhotoPicker label="Choose photographs" chosen={photos.chosen} states={photos.states} add={photos.add} />
      </section>

      <section aria-labelledby="parts">
        <h2 id="parts" className="title text-3xl">
          Parts
        </h2>
        <ArticleForm
          article={article}
          choose={choose}
          change={change}
          all={form.watch('parts')[0] ?? newPart(null, house)}
          setAll={setAll}
        />
        <div className={article ? 'border-b border-line' : 'mt-6 space-y-8'}>
          {parts.fields.map((field, index) => (
            <PartShell key={field.key} isShut={article !== null && !form.formState.errors.parts?.[index]} part={field}>
              <PartFields
                index={index}
                control={control as unknown as Control<PartsText>}
                register={register as unknown as UseFormRegister<PartsText>}
                troubleOf={troubleOf as (path: FieldPath<PartsText>) => string | undefined}
                remove={parts.fields.length > 1 ? () => parts.remove(index) : null}
              />
            </PartShell>
          ))}
        </div>
        <button type="button" className="press mt-6" onClick={() => parts.append(newPart(null, house))}>
          Another part
        </button>
      </section>

      <section aria-labelledby="counted">
        <h2 id="counted" className="title text-3xl">
          Counted on it
        </h2>
        <p className="mt-1 text-soft">
          What is there is taken apart, filled, masked and put together again; those hours are planned too.
        </p>
        <Counts
          counted={form.watch('counted') ?? {}}
          count={(code, times) => form.setValue('counted', { ...form.getValues('counted'), [code]: Math.max(0, times) })}
          className="mt-2 grid gap-x-14 border-t border-line md:grid-cols-2"
        />
      </section>

      <IntakeReady form={form} method={method} looks={looks} />

      <div className="in-reach space-y-3">
        <Trouble>{issue}</Trouble>
        {Object.keys(form.formState.errors).length > 0 && (
          <Trouble>Some of it can’t be read yet: look at the marked fields.</Trouble>
        )}
        {standing ? (
          <p className="font-semibold">
            The piece is taken in. <a href={`/pieces/${standing}`}>Go on without the photographs that failed</a>, and add them
            there.
          </p>
        ) : (
          <button type="submit" disabled={pending} className="press press-now min-h-16 px-8 text-xl">
            {pending ? 'Taking it in…' : 'Take it in'}
          </button>
        )}
      </div>
    </form>
  )
}

/** A part that an article brought stays shut until it is to be put right. */
function PartShell({ isShut, part, children }: { isShut: boolean; part: PartText; children: ReactNode }) {
  if (!isShut) return children
  return (
    <details className="border-t border-line">
      <summary className="flex min-h-12 cursor-pointer items-center gap-3">
        <span className="text-lg font-semibold">
          {part.name}
          {part.count !== '1' && `, ${part.count} alike`}
        </span>
        <span className="text-soft underline">Its faces and what is on it</span>
      </summary>
      {children}
    </details>
  )
}

type Slot = (name: FieldPath<IntakeText>) => ReturnType<UseFormRegister<IntakeText>> & { trouble: string | undefined }

function WhereFrom({ slot }: { slot: Slot }) {
  const house = useHouse()
  return (
    <section className="grid grid-cols-2 gap-x-4 gap-y-3 sm:grid-cols-4" aria-label="Where it comes from">
      <TextField label="What it is" placeholder="Washstand with a splashback" {...slot('name')} className="col-span-2" />
      <ChoiceField label="From" {...slot('source')} options={pairs(sources)} />
      <TextField label="On" type="date" {...slot('takenInOn')} />
      <TextField label={`Price paid, ${house.currency}`} inputMode="decimal" placeholder="0" {...slot('bought')} />
      <TextField label={`Fetching it cost, ${house.currency}`} inputMode="decimal" placeholder="0" {...slot('fetching')} />
      <TextField
        label={`Should bring, ${house.currency}`}
        inputMode="decimal"
        hint="Gives the highest bid."
        {...slot('expected')}
      />
      <TextField label="Promised for" type="date" {...slot('promisedOn')} />
      <TextField label="Client, for a commission" {...slot('client')} className="col-span-2" />
      <TextField label="Where exactly" {...slot('sourceNote')} className="col-span-2" />
      <AreaField label="Condition" rows={2} {...slot('condition')} className="col-span-2 sm:col-span-4" />
    </section>
  )
}
