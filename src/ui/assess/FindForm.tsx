'use client'
/** Tests as cards: the one that tells most stands large, the rest behind it; what is likely follows at once. */
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { assess, type Assessment, type Findings, type KnownPart } from '@/core/assess/assess'
import { type AssessTestCode, assessTestCodes, getAssessTest, type SignCode, signs, signsOn, testsOn } from '@/core/assess/tests'
import { leadFindings, mayHoldLead } from '@/core/craft/lead'
import { codesOf, type ExistingFinishCode, existingFinishes, getExistingFinish, polishes } from '@/core/craft/parts'
import type { PartId, PieceId } from '@/core/measure/named'
import { useActions } from '@/ui/form/actions'
import { ChoiceField, Trouble } from '@/ui/form/Field'
import { useWrite } from '@/ui/form/useWrite'
import { riskWords } from '@/words/assess'
import { TestDrawing } from './TestDrawing'

interface Props {
  pieceId: PieceId
  part: KnownPart & { id: PartId }
}

export function FindForm({ pieceId, part }: Props) {
  const { keepFindings } = useActions()
  const write = useWrite(keepFindings)
  const router = useRouter()
  const [entryId] = useState(() => uuidv7())
  const [findings, setFindings] = useState<Findings>({ tests: {}, signs: {} })
  const [existing, setExisting] = useState<ExistingFinishCode | ''>('')
  const found = assess(findings, part)
  const asked = found.next
  const answer = (test: AssessTestCode, result: string | undefined) => {
    const tests = { ...findings.tests, [test]: result }
    if (result === undefined) delete tests[test]
    setFindings({ ...findings, tests })
  }
  const done = assessTestCodes.filter((test) => findings.tests[test] !== undefined)
  const others = testsOn(part.substrate).filter((test) => test !== asked && findings.tests[test] === undefined)
  const save = async () => {
    const at = new Date().toISOString()
    if (await write.send({ entryId, pieceId, partId: part.id, at, ...findings, existing }))
      router.push(`/pieces/${pieceId}/plan/${part.id}`)
  }
  return (
    <div className="mt-5 grid gap-x-12 gap-y-8 lg:grid-cols-[minmax(0,1.3fr)_minmax(0,1fr)]">
      <div>
        {asked ? (
          <TestCard key={asked} test={asked} answer={(result) => answer(asked, result)} large />
        ) : (
          <p className="title border-t-2 border-ink pt-4 text-3xl">{verdictOf(found)}</p>
        )}
        {done.length > 0 && <Tested done={done} findings={findings} again={(test) => answer(test, undefined)} />}
        {others.length > 0 && (
          <details className="mt-4">
            <summary className="tap underline">Another test</summary>
            <div className="mt-2 grid gap-6 sm:grid-cols-2">
              {others.map((test) => (
                <TestCard key={test} test={test} answer={(result) => answer(test, result)} />
              ))}
            </div>
          </details>
        )}
        <AlsoLook
          findings={findings}
          codes={signsOn(part.substrate)}
          look={(next) => setFindings({ ...findings, signs: next })}
        />
      </div>
      <section aria-labelledby="likely" aria-live="polite" className="border-t-2 border-ink pt-4">
        <Likely found={found} tested={done.length > 0} />
        {found.risks.length > 0 && (
          <ul className="mt-5 space-y-2">
            {found.risks.map((risk) => (
              <li key={risk} className="border-l-4 border-late pl-3 font-semibold">
                {riskWords[risk]}
              </li>
            ))}
          </ul>
        )}
        <p className="mt-5 text-soft">
          {found.leadLookedFor
            ? `Lead: ${leadFindings[found.lead]}.`
            : `Lead: nobody looked just now. On the part stands: ${leadFindings[part.lead]}${
                mayHoldLead({ lead: part.lead, existing: existing || part.existing }) ? ', so it is treated as lead' : ''
              }.`}
        </p>
        <ChoiceField
          label="Plan for"
          className="mt-4"
          value={existing}
          onChange={(event) => setExisting(event.target.value as ExistingFinishCode | '')}
          options={[
            [
              '',
              found.existing === 'unknown'
                ? `as it stands: ${getExistingFinish(part.existing).words}`
                : getExistingFinish(found.existing).words,
            ],
            ...codesOf(existingFinishes).map((code) => [code, getExistingFinish(code).words] as const),
          ]}
        />
        <div className="mt-5 space-y-3">
          <Trouble>{write.issue}</Trouble>
          <button
            type="button"
            disabled={write.pending}
            onClick={() => void save()}
            className="press press-now min-h-16 px-8 text-xl"
          >
            {write.pending ? 'Writing…' : 'Write it on the part'}
          </button>
        </div>
      </section>
    </div>
  )
}

/** What the tests came to, in a sentence. */
function verdictOf({ likely, existing, polish }: Assessment): string {
  if (likely.length === 0) return 'No test for a finish suits this material. Look for the signs below.'
  if (existing === 'unknown') return 'No test left would tell more. The plan takes the safe side.'
  const over = polish === 'wax' || polish === 'oil' ? `, ${polishes[polish]} over it` : ''
  return `Sure enough: ${getExistingFinish(existing).words}${over}.`
}

function TestCard({ test, answer, large = false }: { test: AssessTestCode; answer: (result: string) => void; large?: boolean }) {
  const { words, how, results } = getAssessTest(test)
  return (
    <div
      className={large ? 'grid gap-x-6 gap-y-3 border-t-2 border-ink pt-4 sm:grid-cols-[14rem_1fr]' : 'border-t border-line pt-3'}
    >
      <TestDrawing test={test} className={large ? 'w-full max-w-72' : 'w-32'} />
      <div>
        <h2 className={large ? 'title text-3xl' : 'font-semibold'}>{words}</h2>
        <p className="mt-1 text-soft">{how}</p>
        <div className="mt-3 flex flex-wrap gap-2">
          {Object.entries(results).map(([result, seen]) => (
            <button
              key={result}
              type="button"
              onClick={() => answer(result)}
              className={`press ${large ? 'min-h-14 text-lg' : ''}`}
            >
              {seen}
            </button>
          ))}
          <button type="button" onClick={() => answer('unknown')} className="press">
            I don’t know
          </button>
        </div>
      </div>
    </div>
  )
}

/** What was tested, each to be tested again. */
function Tested({
  done,
  findings,
  again,
}: {
  done: readonly AssessTestCode[]
  findings: Findings
  again: (test: AssessTestCode) => void
}) {
  return (
    <ul className="mt-6 border-t border-line" aria-label="Tested">
      {done.map((test) => {
        const { words, results } = getAssessTest(test)
        return (
          <li key={test} className="flex items-center justify-between gap-4 border-b border-line">
            <span>
              {words}: <strong>{results[findings.tests[test] ?? ''] ?? 'not known'}</strong>
            </span>
            <button type="button" className="press my-1" onClick={() => again(test)} aria-label={`Test again: ${words}`}>
              Again
            </button>
          </li>
        )
      })}
    </ul>
  )
}

/** Signs that stand beside the tests: lead above all. */
function AlsoLook({
  findings,
  codes,
  look,
}: {
  findings: Findings
  codes: readonly SignCode[]
  look: (signs: Findings['signs']) => void
}) {
  return (
    <>
      <h2 className="title mt-8 border-t-2 border-ink pt-4 text-3xl">Also look for</h2>
      <div className="mt-3 grid gap-4 sm:grid-cols-2">
        {codes.map((code) => (
          <ChoiceField
            key={code}
            label={signs[code].words}
            value={findings.signs[code] ?? ''}
            onChange={(event) => {
              const next = { ...findings.signs, [code]: event.target.value }
              if (event.target.value === '') delete next[code]
              look(next)
            }}
            options={[['', 'not looked at'], ...Object.entries(signs[code].results), ['unknown', 'I don’t know']]}
          />
        ))}
      </div>
    </>
  )
}

/** What is on it, the likeliest first, with how sure that is. */
function Likely({ found, tested }: { found: Assessment; tested: boolean }) {
  return (
    <>
      <h2 id="likely" className="title text-3xl">
        {found.likely.length === 0 ? 'Nothing to test' : tested ? 'On it is likely' : 'Not tested yet'}
      </h2>
      {!tested && found.likely.length > 0 && <p className="mt-1 text-soft">How common each is, before anybody looked:</p>}
      {tested && found.over.wax + found.over.oil > 0.01 && (
        <p className="mt-1 text-soft">
          Wax on it: {Math.round(found.over.wax * 100)} %. Oil that has not cured: {Math.round(found.over.oil * 100)} %.
        </p>
      )}
      <ol className="mt-3">
        {found.likely.slice(0, 4).map(({ finish, share }) => (
          <li key={finish} className="border-b border-line py-2">
            <span className="flex items-baseline justify-between">
              <span className="text-lg font-semibold">{getExistingFinish(finish).words}</span>
              <span className="figure text-3xl">{Math.round(share * 100)} %</span>
            </span>
            <svg viewBox="0 0 100 6" preserveAspectRatio="none" className="mt-1 h-3 w-full" aria-hidden>
              <path
                d={`M0 0H${share * 100}L${Math.min(100, share * 100 + 1)} 3L${share * 100} 6H0Z`}
                fill={share > 0.5 ? 'var(--now)' : 'var(--soft)'}
              />
            </svg>
          </li>
        ))}
      </ol>
    </>
  )
}
