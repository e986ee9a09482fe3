'use client'
/** What a client chooses from, as it is written into an offer. */
import {
  type Control,
  type FieldPath,
  useFieldArray,
  type UseFormRegister,
  type UseFormSetValue,
  type UseFormWatch,
} from 'react-hook-form'
import { v7 as uuidv7 } from 'uuid'
import type { QuoteText } from '@/core/input/quote'
import { signedMoneyText } from '@/core/measure/money'
import type { OfferChoice } from '@/core/price/offer'
import { TextField } from '@/ui/form/Field'
import { useHouse } from '@/ui/form/house'

/** A choice that the plan itself makes: the same part, protected another way. */
export interface Suggested {
  words: string
  choices: Pick<OfferChoice, 'words' | 'extra' | 'plans'>[]
}
interface OptionsProps {
  control: Control<QuoteText>
  register: UseFormRegister<QuoteText>
  troubleOf: (path: FieldPath<QuoteText>) => string | undefined
  watch: UseFormWatch<QuoteText>
  setValue: UseFormSetValue<QuoteText>
  suggested: readonly Suggested[]
}
/** What the client chooses from; the first way is what the lines hold. */
export function QuoteOptions({ control, register, troubleOf, watch, setValue, suggested }: OptionsProps) {
  const house = useHouse()
  const options = useFieldArray({ control, name: 'options', keyName: 'key' })
  const there = watch('options')
  const rest = suggested.filter(({ words }) => !there.some((option) => option.words === words))
  return (
    <>
      <ul className="mt-4 space-y-4">
        {options.fields.map((field, index) => (
          <li key={field.key} className="border-l-4 border-now pl-4">
            <div className="grid grid-cols-[1fr_auto] items-end gap-3">
              <TextField
                label="They choose"
                {...register(`options.${index}.words`)}
                trouble={troubleOf(`options.${index}.words`)}
              />
              <button type="button" className="press min-h-12" onClick={() => options.remove(index)}>
                Strike it
              </button>
            </div>
            <Ways {...{ control, register, troubleOf, setValue, index }} />
          </li>
        ))}
      </ul>
      <div className="mt-3 flex flex-wrap gap-3">
        {rest.map((each) => (
          <button
            key={each.words}
            type="button"
            className="press min-h-12"
            onClick={() =>
              options.append({
                id: uuidv7(),
                words: each.words,
                choices: each.choices.map(({ words, extra, plans }) => ({
                  id: uuidv7(),
                  words,
                  extra: signedMoneyText(extra, house),
                  plans,
                })),
              })
            }
          >
            Let them choose: {each.words}
          </button>
        ))}
        <button
          type="button"
          className="press min-h-12"
          onClick={() =>
            options.append({
              id: uuidv7(),
              words: '',
              choices: [
                { id: uuidv7(), words: '', extra: '' },
                { id: uuidv7(), words: '', extra: '' },
              ],
            })
          }
        >
          Another choice
        </button>
      </div>
    </>
  )
}
function Ways({
  control,
  register,
  troubleOf,
  setValue,
  index,
}: Pick<OptionsProps, 'control' | 'register' | 'troubleOf' | 'setValue'> & { index: number }) {
  const house = useHouse()
  const ways = useFieldArray({ control, name: `options.${index}.choices`, keyName: 'key' })
  return (
    <>
      <ul className="mt-2 space-y-2">
        {ways.fields.map((field, at) => (
          <li key={field.key} className="grid grid-cols-[1fr_8rem] items-end gap-3">
            <TextField
              label={at === 0 ? 'As it stands in the lines' : 'Or'}
              {...register(`options.${index}.choices.${at}.words`, {
                // in other words it is another thing: no plan knows of it
                onChange: () => setValue(`options.${index}.choices.${at}.plans`, undefined),
              })}
              trouble={troubleOf(`options.${index}.choices.${at}.words`)}
            />
            <TextField
              label={`Beside it, ${house.currency}`}
              inputMode="decimal"
              placeholder="0"
              {...register(`options.${index}.choices.${at}.extra`)}
              trouble={troubleOf(`options.${index}.choices.${at}.extra`)}
            />
          </li>
        ))}
      </ul>
      {ways.fields.length < 6 && (
        <button type="button" className="press mt-2 min-h-12" onClick={() => ways.append({ id: uuidv7(), words: '', extra: '' })}>
          Another way
        </button>
      )}
    </>
  )
}
