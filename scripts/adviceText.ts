/** The advice as a page that a painter can read and correct, made from the tables and from nothing else. */
import { families, type FamilyCode, getFamily } from '@/core/craft/families'
import { looks } from '@/core/craft/looks'
import { defaultMethod, schoolCodes, schools } from '@/core/craft/method'
import { getOperation } from '@/core/craft/operations'
import { type SubstrateKind, substrates, uses } from '@/core/craft/parts'
import { remedies } from '@/core/craft/remedies'
import type { Remedy } from '@/core/craft/remedies/remedy'
import { allFamiliesFor, canBeOn, usualWay } from '@/core/craft/takes'
import { topcoats } from '@/core/craft/topcoats'
import { windowRows } from '@/core/craft/windows'
import { adaptations } from '@/core/finish/adapt'
import { touchOperations } from '@/core/finish/touchList'
import { answered, arguedRight, arguedWrong } from '@/core/stack/cases/argued'
import type { ConflictCode } from '@/core/stack/rules'
import { abrasionRules } from '@/core/stack/rules/abrasion'
import { colourRules } from '@/core/stack/rules/colour'
import { effectRules } from '@/core/stack/rules/effects'
import { endingRules } from '@/core/stack/rules/endings'
import { materialRules } from '@/core/stack/rules/materials'
import { preparationRules } from '@/core/stack/rules/preparation'
import type { EndingRule, MeetingRule } from '@/core/stack/rules/rule'
import { sealingRules } from '@/core/stack/rules/sealing'
import { softRules } from '@/core/stack/rules/soft'
import { wearRules } from '@/core/stack/rules/wear'
import { adaptationWords } from '@/words/adaptation'
import { conflictWords, severityWords } from '@/words/conflicts'
import { schoolChoiceWords, schoolWords } from '@/words/method'

const kinds = [...new Set<SubstrateKind>(Object.values(substrates).map(({ kind }) => kind))]

const chapters: [string, Record<string, MeetingRule | EndingRule>][] = [
  ['Before colour', preparationRules],
  ['Abrasives, blades and wool', abrasionRules],
  ['Cane, board and slick things', materialRules],
  ['Cloth and leather', softRules],
  ['Colour on colour', colourRules],
  ['Effects', effectRules],
  ['Wear', wearRules],
  ['Waxes, oils, clears and gilding', sealingRules],
  ['When all is done', endingRules],
]
const opWords = (code: Parameters<typeof getOperation>[0]) => getOperation(code).words.toLowerCase()
const cell = (text: string) => text.replaceAll('|', '/').replaceAll('\n', ' ')
const table = (head: string[], rows: string[][]): string =>
  [head, head.map(() => '---'), ...rows].map((row) => `| ${row.map(cell).join(' | ')} |`).join('\n')
const minutes = (range: readonly number[] | undefined): string =>
  range ? [...new Set(range)].map((n) => (n >= 120 ? `${Number((n / 60).toFixed(1))} h` : `${n} min`)).join(' to ') : ''

const ruleRows = (rules: Record<string, MeetingRule | EndingRule>): string[][] =>
  Object.entries(rules).map(([code, { severity, remedies: mends, instead, source }]) => [
    conflictWords[code as ConflictCode],
    severityWords[severity],
    mends
      .map(({ operation, family, grit }) =>
        [opWords(operation), family && getFamily(family).words, grit].filter(Boolean).join(', '),
      )
      .join(', then ') || (code === 'caution-missing' ? 'say it at the step' : 'leave it, or do it otherwise'),
    mends.length === 0 ? '' : instead ? 'told' : 'put in',
    source ?? 'craft',
    `\`${code}\``,
  ])
const repairRows = Object.entries(remedies).map(([code, each]) => {
  const { words, cause, remedy, share }: Remedy = each
  return [words, cause, remedy, `${Math.round(share * 100)} %`, `\`${code}\``]
})
const windowTable = windowRows.map(({ after, before, family, on, school, window }) => [
  after.map(opWords).join('; '),
  [family?.map((code) => getFamily(code).words).join(', '), on?.join(', '), school && Object.values(school).flat().join(', ')]
    .filter(Boolean)
    .join('; '),
  before?.map(opWords).join('; ') ?? 'anything',
  window.opens ? minutes(window.opens) : window.from ? (window.from === 'recoat' ? 'by its recoat' : 'by touch dry') : 'at once',
  minutes(window.closes),
  window.source ?? 'craft',
])
const familyRows = (Object.keys(families) as FamilyCode[]).map((code) => {
  const { words, touchDry, recoat, coverage, grips, rewets, needsTopcoat, alone, waterShare } = getFamily(code)
  return [
    words,
    minutes(touchDry),
    minutes(recoat),
    coverage.join('–'),
    grips ?? '',
    rewets ?? '',
    needsTopcoat === true
      ? 'always'
      : needsTopcoat === 'tops'
        ? 'on tops'
        : (alone ?? []).length === Object.keys(uses).length
          ? 'nowhere'
          : alone
            ? `all but ${alone.map((use) => uses[use]).join(', ')}`
            : '',
    waterShare === undefined ? '' : `${waterShare * 100} %`,
  ]
})

/** The whole page. */
export function adviceText(): string {
  return `# The advice

What the plans, the desk and the bench know, as it stands in the tables of \`src/core/craft\`, \`src/core/finish\` and \`src/core/stack\`. Made by \`npm run advice\`;
a test fails where the page and the tables differ. Who finds something wrong corrects the table named in the heading, runs \`npm test -- --project unit\`, and the plans follow.
*Source*: **craft** is what painters of furniture agree on; **practice** is what experienced hands expect where that is silent; a tin's label and the studio's own log win over both.

## The rules

Each is asked of every act, planned or logged, on the surface it meets. *Put in* means that planning, re-planning and mending put the remedy in before the act of themselves, and name the rule at the step.
${chapters.map(([title, rules]) => `\n### ${title}\n\n${table(['What is wrong', 'How bad', 'What mends it', '', 'Source', 'Code'], ruleRows(rules))}`).join('\n')}

## What a material makes of a step

\`src/core/finish/adapt.ts\`, asked in this order.

${table(
  ['Where', 'What is done otherwise'],
  adaptations.map(({ code, lines }) => [
    adaptationWords[code],
    Object.keys(lines)
      .map((code) => opWords(code as Parameters<typeof getOperation>[0]))
      .join('; '),
  ]),
)}

## Repairs

\`src/core/craft/remedies\`. The share is of the part's area; the layers come back in their own products and colours, and the seal is renewed.

${table(['What shows', 'Why', 'How it is mended', 'Share', 'Code'], repairRows)}

## Windows, at 21 °C and 50 %

\`src/core/craft/windows.ts\`. The first row that fits counts. A cold, damp or thick coat lengthens them, warmth and moving air shorten them.

${table(['After', 'Where', 'Before', 'Opens', 'Closes', 'Source'], windowTable)}

## Families

\`src/core/craft/families.ts\`.

${table(['Family', 'Touch dry', 'Recoat', 'm² a litre or kg', 'Grips', 'Re-wets', 'Wants a topcoat', 'Water'], familyRows)}

## Topcoats and looks

${table(
  ['Topcoat', 'Stands', 'Coats by use (at least)'],
  Object.values(topcoats).map(({ words, uses: fit, coats, least }) => [
    words,
    fit.map((use) => uses[use]).join(', '),
    Object.entries(coats)
      .map(([use, n]) => `${uses[use as keyof typeof uses]}: ${n as number} (${(least as Record<string, number>)[use]})`)
      .join('; '),
  ]),
)}

${table(
  ['Look', 'What it is', 'Its own steps, bottom up'],
  Object.values(looks).map(({ words, tells, recipe }) => [
    words,
    tells,
    recipe.map(({ operation }) => opWords(operation)).join(' → '),
  ]),
)}

## Layers of one's own

What each operation is laid with, the first where nothing else is said, how it is mixed and worked then, and on which materials it can't be.
\`src/core/craft/takes.ts\`.

${table(
  ['Operation', 'Laid with', 'Usually', 'Not on'],
  touchOperations.map((code) => {
    const families = allFamiliesFor(code)
    const { mix, applicator } = usualWay(code, families[0])
    return [
      opWords(code),
      families.map((family) => getFamily(family).words).join(', '),
      [mix, applicator].filter(Boolean).join(' · '),
      kinds.filter((kind) => !canBeOn(code, kind)).join(', '),
    ]
  }),
)}

## Where good people disagree

Each house picks, each part may depart; every side is a plan of its own. \`src/core/craft/method.ts\`.

${table(
  ['School', 'Sides, the first where nothing was chosen'],
  schoolCodes.map((code) => [
    schoolWords[code],
    [defaultMethod[code], ...Object.keys(schools[code]).filter((side) => side !== defaultMethod[code])]
      .map((side) => schoolChoiceWords(code, side))
      .join(' ↔ '),
  ]),
)}

## Answered

Stacks that a painter called wrong, and that are let pass:

${Object.entries(arguedWrong)
  .map(([what, why]) => `- *${what}.* ${why}`)
  .join('\n')}
${
  Object.keys(arguedRight).length === 0
    ? ''
    : `\nStacks that a painter called right, and that are spoken of:\n\n${Object.entries(arguedRight)
        .map(([what, why]) => `- *${what}.* ${why}`)
        .join('\n')}\n`
}
Steps that a painter asked about, and that stay as they are:

${Object.entries(answered)
  .map(([what, why]) => `- *${what}.* ${why}`)
  .join('\n')}
`
}
