/** The sections of a client's piece as they grow, each layer named beside its own colour. */
import type { PartJourney } from '@/core/piece/journey'
import { gathered, type Layer, sectionOf } from '@/core/piece/section'
import { layerFills, Section } from '@/ui/drawing/Section'
import type { ClientWords } from '@/words/client'
import { capital } from '@/words/text'

export function ClientLayers({ words, parts }: { words: ClientWords; parts: readonly PartJourney[] }) {
  return (
    <section aria-labelledby="layers" className="break-inside-avoid lg:col-span-2">
      <h2 id="layers" className="title border-t-2 border-ink pt-3 text-3xl">
        {words.section}
      </h2>
      <p className="mt-1 font-serif text-lg text-soft">{words.sectionHint}</p>
      <div className="mt-5 grid gap-x-16 gap-y-8 lg:grid-cols-2">
        {parts.map((part) => (
          <PartLayers key={part.part.id} words={words} part={part} />
        ))}
      </div>
    </section>
  )
}

const isAlike = (one: Layer, other: Layer) => one.kind === other.kind && one.tone === other.tone && one.state === other.state

function PartLayers({ words, part }: { words: ClientWords; part: PartJourney }) {
  const model = sectionOf(part)
  const base = model.substrate.wood ? words.wood : words.ground
  const lying = gathered(model.layers, isAlike)
  const label = `${part.part.name}: ${[base, ...lying.map((each) => said(each, words))].join(', ')}`
  return (
    <div className="grid grid-cols-[7.5rem_1fr] items-start gap-5">
      <Section model={model} className="w-full" label={label} />
      <div>
        <h3 className="title text-2xl">{part.part.name}</h3>
        <ul className="mt-2 space-y-1.5">
          {[...lying].reverse().map((each, k) => (
            <li key={k} className="flex items-center gap-3">
              <Swatch {...each.layer} />
              <span className={each.layer.state === 'planned' ? 'text-soft' : ''}>{capital(said(each, words))}</span>
            </li>
          ))}
          <li className="flex items-center gap-3">
            <span aria-hidden className="size-5 shrink-0 rounded-sm" style={{ background: model.substrate.tone }} />
            {capital(base)}
          </li>
        </ul>
      </div>
    </div>
  )
}
function said({ layer: { kind, state }, count }: { layer: Layer; count: number }, words: ClientWords): string {
  const times = count > 1 ? `${count} × ${words.layers[kind]}` : words.layers[kind]
  return state === 'there' ? times : `${times}, ${words.layerStates[state]}`
}
const Swatch = ({ tone, kind, state }: Layer) => (
  <svg viewBox="0 0 20 20" aria-hidden className="size-5 shrink-0">
    <rect
      x="1"
      y="1"
      width="18"
      height="18"
      rx="2"
      fill={state === 'planned' ? 'none' : (layerFills[kind] ?? tone)}
      stroke={state !== 'planned' ? 'var(--ink)' : layerFills[kind] ? 'var(--soft)' : tone}
      strokeOpacity={state === 'planned' ? 1 : 0.3}
      strokeWidth={state === 'planned' ? 2 : 1}
      strokeDasharray={state === 'planned' ? '4 3' : undefined}
    />
  </svg>
)
