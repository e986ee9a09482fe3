'use client'
/** What is decided about one layer: what is done, with what, in which colour or shade, where, how often, how thick. */
import { getFamily } from '@/core/craft/families'
import { getOperation, laysColour } from '@/core/craft/operations'
import { getSubstrate, kindOf } from '@/core/craft/parts'
import { patternShare } from '@/core/craft/pattern'
import { canBeOn, familiesFor, usualWay } from '@/core/craft/takes'
import { leftOpen, standsOpen } from '@/core/craft/ways'
import type { DeskTin } from '@/core/desk/state'
import { isOnce } from '@/core/finish/lines'
import type { Colour } from '@/core/finish/shade'
import { ground, type Touch } from '@/core/finish/touch'
import { type TouchEdit, touchOperations } from '@/core/finish/touchList'
import type { FinishablePart } from '@/core/finish/wish'
import { CommittedField } from '@/ui/form/CommittedField'
import { ChoiceField, withOwn } from '@/ui/form/Field'
import { ColourChoice, suggestedFor } from '@/ui/plan/ColourChoice'
import { PatternFields } from '@/ui/plan/PatternFields'
import { ShadeFields } from '@/ui/plan/ShadeFields'
import { WhereFields } from '@/ui/plan/WhereFields'
import { oftenWords, operationWords, repeatWords, touchTitle } from '@/words/touch'

interface Props {
  touch: Touch
  below: readonly Touch[]
  facts: FinishablePart
  tins: readonly DeskTin[]
  edit: (edit: TouchEdit) => void
  newId: () => string
  /** by field: "colour.name" */
  troubles: Readonly<Record<string, string>>
}

/** Milk paint that is to let go. */
const noBond = 'powder : water 1 : 1, no bonding agent'

export function LayerSheet({ touch, below, facts, tins, edit, newId, troubles }: Props) {
  const kind = kindOf(facts)
  const { id, operation, family, colour, where } = touch
  const change = (over: Partial<Touch>) => edit({ kind: 'change', id, over })
  const families = familiesFor(operation, kind)
  const under = below.findLast((other) => other.colour)?.colour
  const chooseOperation = (next: Touch['operation']) => {
    const allowed = familiesFor(next, kind)
    const kept = family && allowed.includes(family) ? family : allowed[0]
    change({
      operation: next,
      family: kept,
      mix: undefined,
      applicator: undefined,
      colour: laysColour(next) ? (colour ?? under ?? { name: 'New colour', hex: '#9a8f80' }) : undefined,
      wearTo: undefined,
      chips: undefined,
    })
  }
  const usual = usualWay(operation, family)
  const { wears, cautions } = getOperation(operation)
  return (
    <div className="grid grid-cols-1 gap-4 px-4 pb-4 sm:grid-cols-2">
      <ChoiceField
        label="What is done"
        value={operation}
        onChange={(event) => chooseOperation(event.target.value as Touch['operation'])}
        options={[...new Set([operation, ...touchOperations.filter((code) => canBeOn(code, kind))])].map((code) => [
          code,
          operationWords(code),
        ])}
      />
      {families.length > 0 && (
        <ChoiceField
          label="With"
          value={family ?? families[0] ?? ''}
          onChange={(event) => change({ family: event.target.value as Touch['family'], mix: undefined, chips: undefined })}
          options={families.map((code) => [code, getFamily(code).words])}
        />
      )}
      {laysColour(operation) && colour && (
        <LayerColour touch={touch} colour={colour} under={under} tins={tins} edit={edit} troubles={troubles} />
      )}
      <WhereFields where={where} trouble={troubles['where.words']} keep={(next) => change({ where: next })} />
      {laysColour(operation) && facts.face && (
        <LayerPattern
          touch={touch}
          under={under?.hex ?? getSubstrate(facts.substrate).tone}
          facts={facts}
          edit={edit}
          newId={newId}
        />
      )}
      <ChoiceField
        label="How often"
        value={String(touch.repeat ?? 1)}
        onChange={({ target: { value } }) =>
          change({ repeat: value === 'as-it-covers' || value === 'by-use' ? value : Number(value) })
        }
        options={withOwn(
          repeatWords.filter(([code]) => code !== 'as-it-covers' || (colour && !isOnce(touch))),
          String(touch.repeat ?? 1),
          oftenWords(touch.repeat),
        )}
      />
      {families.length > 0 && (
        <ChoiceField
          label="How thick"
          value={touch.film ?? 'normal'}
          onChange={(event) => change({ film: event.target.value as Touch['film'] })}
          options={[
            ['thin', 'thin'],
            ['normal', 'as usual'],
            ['heavy', 'heavy'],
          ]}
        />
      )}
      {wears && <WornTo touch={touch} below={below} change={change} />}
      {families.length > 0 && (
        <CommittedField
          label="Mix"
          hint={usual.mix ? `usually ${usual.mix}` : undefined}
          trouble={troubles.mix}
          value={touch.mix ?? ''}
          keep={(mix) => change({ mix: mix || undefined })}
        />
      )}
      {families.length === 0 && cautions?.includes('dust') && (
        <CommittedField
          label="Grit"
          trouble={troubles.grit}
          value={touch.grit ?? ''}
          keep={(grit) => change({ grit: grit || undefined })}
        />
      )}
      <CommittedField
        label={families.length > 0 ? 'Laid on with' : 'Done with'}
        trouble={troubles.applicator}
        hint={usual.applicator ? `usually ${usual.applicator}` : undefined}
        value={touch.applicator ?? ''}
        keep={(applicator) => change({ applicator: applicator || undefined })}
      />
      <Ticks touch={touch} below={below} change={change} />
    </div>
  )
}

/** Laid in a pattern: what it covers of the part is reckoned from its measures. */
function LayerPattern({
  touch,
  under,
  facts,
  edit,
  newId,
}: Pick<Props, 'touch' | 'facts' | 'edit' | 'newId'> & { under: string }) {
  const { face, areaM2 } = facts
  if (!face) return null
  return (
    <PatternFields
      pattern={touch.where?.pattern}
      face={face}
      hex={touch.colour?.hex ?? 'var(--line)'}
      under={under}
      keep={(pattern) => {
        const share = pattern ? patternShare(pattern, face, areaM2) : 1
        edit({ kind: 'pattern', id: touch.id, pattern, share, tapeId: newId(), pullId: newId() })
      }}
    />
  )
}

type Change = (over: Partial<Touch>) => void

/** What is meant by it. */
function Ticks({ touch, below, change }: Pick<Props, 'touch' | 'below'> & { change: Change }) {
  const { operation, family } = touch
  return (
    <>
      {laysColour(operation) && below.some((other) => other.colour) && (
        <Tick label="Kept apart from what is below" on={touch.keepApart === true} set={(keepApart) => change({ keepApart })} />
      )}
      {operation === 'texture-coat' && (
        <Tick
          label="Thickened by standing open, no powder"
          on={standsOpen(touch.mix)}
          set={(open) => change({ mix: open ? leftOpen : undefined })}
        />
      )}
      {operation === 'coat' && family === 'casein' && (
        <Tick
          label="Meant to let go in flakes"
          on={touch.chips === true}
          set={(chips) => change({ chips, mix: chips ? noBond : undefined })}
        />
      )}
    </>
  )
}

/** How far it is worn back. */
function WornTo({ touch, below, change }: Pick<Props, 'touch' | 'below'> & { change: Change }) {
  return (
    <ChoiceField
      label="Worn down to"
      value={touch.wearTo ?? ''}
      onChange={({ target: { value } }) => change({ wearTo: value === '' ? undefined : value })}
      options={[
        ['', 'the layer below'],
        ...below.filter((other) => other.colour).map((other) => [other.id, touchTitle(other)] as const),
        [ground, 'the wood'],
      ]}
    />
  )
}

function Tick({ label, on, set }: { label: string; on: boolean; set: (on: boolean) => void }) {
  return (
    <label className="flex min-h-12 items-center gap-3 font-semibold">
      <input type="checkbox" className="size-6" checked={on} onChange={(event) => set(event.target.checked)} />
      {label}
    </label>
  )
}

/** Its colour: of a tin, of any value, or a shade of two. */
function LayerColour({
  touch: { id, family },
  colour,
  under,
  tins,
  edit,
  troubles,
}: Pick<Props, 'touch' | 'tins' | 'edit' | 'troubles'> & { colour: Colour; under: Colour | undefined }) {
  const ofFamily = tins.filter((tin) => tin.family === family)
  // the name, or the value, letter by letter; a tin is a change of its own
  const choose = (next: Colour) =>
    edit({ kind: 'change', id, over: { colour: next }, running: next.name === colour.name || next.hex === colour.hex })
  return (
    <div className="sm:col-span-2">
      <ColourChoice
        words="Colour"
        why={colour.parts ? `${colour.parts.map(({ name, parts }) => `${parts} of ${name}`).join(', ')}: a guess` : ''}
        colour={colour}
        tins={ofFamily}
        suggestions={under ? suggestedFor(under) : []}
        trouble={troubles['colour.name'] ?? troubles['colour.hex']}
        choose={choose}
      />
      <ShadeFields colour={colour} tins={ofFamily} choose={choose} />
    </div>
  )
}
