'use client'
/** What can be seen at the kerb, by the thumb: what it is, what is on it, how it stands, what it shall become. */
import { leadFindings } from '@/core/craft/lead'
import { getLook, looks } from '@/core/craft/looks'
import { getExistingFinish, substrates } from '@/core/craft/parts'
import { kerbStates } from '@/core/house/kerbState'
import type { KerbFacts } from '@/core/input/bid'
import type { House } from '@/core/input/fields'
import { lengthText, parseLength } from '@/core/measure/length'
import { asks } from '@/core/piece/article'
import { articles, getArticle } from '@/core/piece/articles'
import { CommittedField } from '@/ui/form/CommittedField'
import { ChoiceField, pairs, TextField } from '@/ui/form/Field'
import { Stepper } from '@/ui/form/Stepper'
import { useTapGuard } from '@/ui/form/useTapGuard'
import { askWords, sizeWords } from '@/words/article'
import { asArticle, type KeptCard, moneyTrouble } from './kept'

interface Props {
  card: KeptCard
  change: (card: KeptCard) => void
  house: House
}
const onIt = ['unknown', 'bare', 'wax', 'varnish', 'shellac', 'water-paint', 'oil-paint'] as const
const common = ['smooth-solid', 'two-colour-distress', 'whitewash', 'stained-wood'] as const
const isCommon = (look: string) => (common as readonly string[]).includes(look)

export function KerbFields({ card, change, house }: Props) {
  const { facts } = card
  const set = (over: Partial<KerbFacts>) => change({ ...card, facts: { ...facts, ...over } })
  const size = facts.facts
  const unit = house.units === 'metric' ? 'cm' : 'in'
  return (
    <div className="space-y-5">
      <Chips
        label="What is on it"
        chosen={facts.existing}
        options={onIt.map((code) => [code, getExistingFinish(code).words])}
        choose={(existing) => set({ existing })}
      />
      <Chips
        label="Lead"
        chosen={facts.lead}
        options={pairs(leadFindings).filter(([code]) => code !== 'found')}
        choose={(lead) => set({ lead })}
      />
      <Chips label="How it stands" chosen={facts.state} options={pairs(kerbStates)} choose={(state) => set({ state })} />
      <div>
        <Chips
          label="What it shall become"
          chosen={isCommon(facts.look) ? facts.look : null}
          options={common.map((code) => [code, looks[code].words])}
          choose={(look) => set({ look })}
        />
        <ChoiceField
          label="Another look"
          value={isCommon(facts.look) ? '' : facts.look}
          onChange={(event) => event.target.value && set({ look: event.target.value as KerbFacts['look'] })}
          options={[['', '—'], ...pairs(looks).filter(([code]) => !getLook(code).addOn && !isCommon(code))]}
          className="mt-2 max-w-sm"
        />
      </div>
      <div className="grid grid-cols-2 gap-4">
        <TextField
          label={`Should bring, ${house.currency}`}
          inputMode="decimal"
          value={card.brings}
          trouble={moneyTrouble(card.brings, house)}
          onChange={(event) => change({ ...card, brings: event.target.value })}
        />
        <TextField
          label={`Fetching it, ${house.currency}`}
          inputMode="decimal"
          value={card.fetching}
          trouble={moneyTrouble(card.fetching, house)}
          onChange={(event) => change({ ...card, fetching: event.target.value })}
        />
      </div>
      <details>
        <summary className="tap text-lg underline">Its name, its size, its wood</summary>
        <div className="mt-2 space-y-3">
          <TextField
            label="Called"
            value={card.name}
            onChange={(event) => change({ ...card, name: event.target.value.slice(0, 120) })}
          />
          <ChoiceField
            label="What it is"
            value={facts.article}
            onChange={(event) => change(asArticle(card, event.target.value as KerbFacts['article']))}
            options={pairs(articles)}
          />
          <div className="grid grid-cols-3 gap-3">
            {(['width', 'depth', 'height'] as const).map((name) => (
              <CommittedField
                key={name}
                label={`${sizeWords[name]}, ${unit}`}
                value={lengthText(size[name], house)}
                keep={(typed) => {
                  const mm = parseLength(typed, house)
                  if (mm !== null && mm >= 20) set({ facts: { ...size, [name]: Math.round(mm) } })
                }}
              />
            ))}
          </div>
          {asks
            .filter((ask) => ask in getArticle(facts.article).of)
            .map((ask) => (
              <div key={ask} className="flex items-center justify-between gap-4">
                <span className="text-lg font-semibold">{askWords[ask]}</span>
                <Stepper
                  words={`${askWords[ask]} of it`}
                  times={size.of[ask] ?? 0}
                  least={ask === 'alike' ? 1 : 0}
                  most={24}
                  small
                  set={(times) => set({ facts: { ...size, of: { ...size.of, [ask]: Math.max(0, Math.min(24, times)) } } })}
                />
              </div>
            ))}
          <ChoiceField
            label="Made of"
            value={facts.substrate}
            onChange={(event) => set({ substrate: event.target.value as KerbFacts['substrate'] })}
            options={pairs(substrates)}
          />
        </div>
      </details>
    </div>
  )
}

interface ChipsProps<T extends string> {
  label: string
  chosen: T | null
  options: readonly (readonly [T, string])[]
  choose: (code: T) => void
}
export function Chips<T extends string>({ label, chosen, options, choose }: ChipsProps<T>) {
  // chips come to stand where another has just been tapped
  const { guard } = useTapGuard(true)
  return (
    <div role="group" aria-label={label}>
      <p className="eyebrow">{label}</p>
      <div className="mt-1 flex flex-wrap gap-2">
        {options.map(([code, words]) => (
          <button
            key={code}
            type="button"
            aria-pressed={chosen === code}
            className="press min-h-12 px-4 aria-pressed:outline-3 aria-pressed:outline-now"
            {...guard(() => choose(code))}
          >
            {words}
          </button>
        ))}
      </div>
    </div>
  )
}
