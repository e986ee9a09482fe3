'use client'
/** The fields of one part: what it is, what it is made of, what is on it, where it will live, what it measures. */
import { Minus, Plus } from 'lucide-react'
import { type Control, type FieldPath, useFieldArray, type UseFormRegister, useWatch } from 'react-hook-form'
import { v7 as uuidv7 } from 'uuid'
import { leadFindings } from '@/core/craft/lead'
import { existingFinishes, getExistingFinish, oldTones, partKinds, polishes, substrates, uses } from '@/core/craft/parts'
import type { House } from '@/core/input/fields'
import type { IntakeText } from '@/core/input/piece'
import { formatArea, lengthText, parseLength } from '@/core/measure/length'
import { areaOfSurface, type MeasuredFace, reliefs, type Shape, shapeLengths } from '@/core/measure/surfaceArea'
import type { PartTemplate } from '@/core/piece/article'
import { ChoiceField, pairs, TextField } from '@/ui/form/Field'
import { useHouse } from '@/ui/form/house'
import { lengthWords, shapeWords } from '@/words/measure'

/** Every form that holds parts holds them under `parts`. */
export type PartsText = Pick<IntakeText, 'parts'>
export type PartText = PartsText['parts'][number]
type SurfaceText = PartText['surfaces'][number]

export function newSurface(surface: MeasuredFace, house: House): SurfaceText {
  const { shape, relief, count } = surface
  const lengths = Object.fromEntries(
    shapeLengths[shape].map((name) => [name, lengthText((surface as unknown as Record<string, number>)[name] ?? 0, house)]),
  )
  return { id: uuidv7(), shape, relief, count: String(count), ...lengths } as SurfaceText
}
const emptySurface = (shape: Shape): SurfaceText =>
  ({
    id: uuidv7(),
    shape,
    relief: 'flat',
    count: '1',
    ...Object.fromEntries(shapeLengths[shape].map((name) => [name, ''])),
  }) as SurfaceText

export function newPart(template: PartTemplate | null, house: House): PartText {
  return {
    id: uuidv7(),
    name: template?.name ?? '',
    kind: template?.kind ?? 'carcass',
    count: String(template?.count ?? 1),
    substrate: 'close-grained',
    existing: 'unknown',
    lead: 'unknown',
    use: template?.use ?? 'light',
    bleeds: false,
    polish: 'unknown',
    slips: false,
    foundColour: '',
    knots: '',
    surfaces: template ? template.surfaces.map((surface) => newSurface(surface, house)) : [emptySurface('panel')],
  }
}

/** m² of what is typed so far; null until it can be read. */
function areaTyped(part: PartText | undefined, house: House): number | null {
  if (!part) return null
  const areas = part.surfaces.map((surface) => {
    const lengths = Object.fromEntries(
      shapeLengths[surface.shape].map((name) => [
        name,
        parseLength(String((surface as Record<string, unknown>)[name] ?? ''), house),
      ]),
    )
    if (Object.values(lengths).some((mm) => mm === null)) return null
    return areaOfSurface({
      ...lengths,
      shape: surface.shape,
      relief: surface.relief,
      count: Number(surface.count),
    } as MeasuredFace)
  })
  const known = areas.filter((area) => area !== null && Number.isFinite(area)) as number[]
  return known.length === areas.length && areas.length > 0
    ? known.reduce((sum, area) => sum + area, 0) * Number(part.count)
    : null
}

interface Props {
  index: number
  control: Control<PartsText>
  register: UseFormRegister<PartsText>
  troubleOf: (path: FieldPath<PartsText>) => string | undefined
  remove: (() => void) | null
}

export function PartFields({ index, control, register, troubleOf, remove }: Props) {
  const house = useHouse()
  const { units } = house
  const at = <T extends string>(name: T) => `parts.${index}.${name}` as FieldPath<PartsText>
  const part = useWatch({ control, name: `parts.${index}` }) as PartText | undefined
  const surfaces = useFieldArray({ control, name: `parts.${index}.surfaces`, keyName: 'key' })
  const area = areaTyped(part, house)
  const slot = (name: string) => ({ ...register(at(name)), trouble: troubleOf(at(name)) })
  return (
    <fieldset className="border-t-2 border-ink pt-4">
      <legend className="title float-left pr-4 text-2xl">{part?.name || 'A part'}</legend>
      <p className="flex min-h-9 items-center justify-end gap-4">
        <span className="figure text-2xl">{area === null ? '' : formatArea(area, house)}</span>
        {remove && (
          <button type="button" onClick={remove} className="press" aria-label={`Take ${part?.name || 'this part'} off the list`}>
            Take off
          </button>
        )}
      </p>
      <div className="clear-both grid grid-cols-2 gap-x-4 gap-y-3 pt-3 sm:grid-cols-4">
        <TextField label="Called" {...slot('name')} />
        <ChoiceField label="Kind" {...slot('kind')} options={pairs(partKinds)} />
        <TextField label="How many alike" inputMode="numeric" {...slot('count')} />
        <ChoiceField label="Where it will live" {...slot('use')} options={pairs(uses)} />
        <ChoiceField label="Made of" {...slot('substrate')} options={pairs(substrates)} />
        <ChoiceField label="On it now" {...slot('existing')} options={pairs(existingFinishes)} />
        <ChoiceField label="Over it" {...slot('polish')} options={pairs(polishes)} className="col-span-2" />
        <ChoiceField label="Lead" {...slot('lead')} options={pairs(leadFindings)} className="col-span-2" />
        {part && getExistingFinish(part.existing).layer === 'oldPaint' && (
          <ChoiceField
            label="The old colour"
            {...slot('foundColour')}
            options={[['', 'not known'], ...pairs(oldTones)]}
            className="col-span-2"
          />
        )}
        {part?.substrate === 'softwood' && (
          <TextField label="Knots to seal" inputMode="numeric" placeholder="6" {...slot('knots')} />
        )}
        <label className="col-span-2 flex min-h-12 items-center gap-3">
          <input type="checkbox" {...register(at('bleeds'))} className="size-6 accent-now" /> A test patch bled yellow or pink
        </label>
        <label className="col-span-2 flex min-h-12 items-center gap-3">
          <input type="checkbox" {...register(at('slips'))} className="size-6 accent-now" /> A test patch came off
        </label>
      </div>
      <h4 className="mt-3 font-semibold">Surfaces of one, in {units === 'metric' ? 'cm' : 'inches'}</h4>
      <ul>
        {surfaces.fields.map((field, k) => {
          const shape = part?.surfaces[k]?.shape ?? field.shape
          const sub = (name: string) => ({
            ...register(`parts.${index}.surfaces.${k}.${name}` as FieldPath<PartsText>),
            trouble: troubleOf(`parts.${index}.surfaces.${k}.${name}` as FieldPath<PartsText>),
          })
          return (
            <li
              key={field.key}
              className="mt-2 grid grid-cols-[repeat(3,minmax(0,1fr))_3rem] items-end gap-x-3 gap-y-2 border-b border-line pb-3 sm:grid-cols-[1.5fr_1fr_0.7fr_1fr_1fr_1fr_3rem]"
            >
              <ChoiceField
                label="Shape"
                options={pairs(shapeWords)}
                value={shape}
                onChange={(event) =>
                  surfaces.update(k, { ...emptySurface(event.target.value as Shape), count: part?.surfaces[k]?.count ?? '1' })
                }
                className="col-span-2 sm:col-span-1"
              />
              <ChoiceField
                label="Relief"
                options={Object.keys(reliefs).map((relief) => [relief, relief] as const)}
                {...sub('relief')}
                className="col-span-2 sm:col-span-1"
              />
              <TextField label="How many" inputMode="numeric" {...sub('count')} />
              {shapeLengths[shape].map((name) => (
                <TextField
                  key={name}
                  label={lengthWords[name]}
                  inputMode={units === 'metric' ? 'decimal' : 'text'}
                  {...sub(name)}
                />
              ))}
              <button
                type="button"
                className="press col-start-4 px-0 sm:col-start-7"
                disabled={surfaces.fields.length === 1}
                onClick={() => surfaces.remove(k)}
                aria-label="Take this surface off"
              >
                <Minus aria-hidden size={20} />
              </button>
            </li>
          )
        })}
      </ul>
      <button type="button" className="press mt-3" onClick={() => surfaces.append(emptySurface('panel'))}>
        <Plus aria-hidden size={20} /> Another surface
      </button>
    </fieldset>
  )
}
