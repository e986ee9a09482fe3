/** What was laid on a client's piece, layer by layer with its day, and how it is cared for. */
import { getOperation } from '@/core/craft/operations'
import { dayOf } from '@/core/measure/time'
import type { Journey } from '@/core/piece/journey'
import { clientDate, clientDay, type ClientWords } from '@/words/client'
import { capital } from '@/words/text'

interface Props {
  words: ClientWords
  journey: Journey
  zone: string
}
export function ClientRecord({ words, journey, zone }: Props) {
  const uses = journey.parts.flatMap(({ use }) => use?.times.opens ?? []).sort()
  const usable = uses.at(-1)
  return (
    <section aria-labelledby="record" className="lg:col-span-2">
      <h2 id="record" className="title border-t-2 border-ink pt-3 text-3xl">
        {words.record}
      </h2>
      <div className="mt-4 grid gap-x-16 gap-y-8 lg:grid-cols-2">
        {journey.parts.map(({ part, done }) => (
          <div key={part.id} className="break-inside-avoid">
            <h3 className="title text-2xl">{part.name}</h3>
            <table className="mt-2 w-full">
              <tbody>
                {done.map(({ step, state }) => {
                  const { layer } = getOperation(step.operation)
                  if (!layer) return null
                  return (
                    <tr key={step.id} className="border-b border-line">
                      <th scope="row" className="py-1.5 pr-3 text-left font-normal">
                        {capital(words.layers[layer])}
                        {step.colour && <span className="text-soft"> · {step.colour.name}</span>}
                      </th>
                      <td className="whitespace-nowrap py-1.5 text-right text-soft">
                        {clientDate(state.endedAt, words, { zone })}
                      </td>
                    </tr>
                  )
                })}
              </tbody>
            </table>
          </div>
        ))}
      </div>
      <h3 className="title mt-8 text-2xl">{words.care}</h3>
      <div className="mt-1 max-w-prose space-y-2 font-serif text-lg">
        {usable && <p>{words.careDated(clientDay(dayOf(usable, zone), words))}</p>}
        <p>{words.careText}</p>
        <p>{words.careSafety}</p>
      </div>
    </section>
  )
}
