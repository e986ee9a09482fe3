/** For other programs: keys, and what may be asked by them. */
import { headers } from 'next/headers'
import { redirect } from 'next/navigation'
import { listKeys } from '@/app/_server/api'
import { findOwnFactor } from '@/app/_server/secondFactor'
import { whoIsIn } from '@/app/_server/whoIsIn'
import { type Endpoint, endpoints, mostUses } from '@/core/input/api'
import { NotYours } from '@/ui/frame/NotYours'
import { ApiKeys } from '@/ui/house/ApiKeys'

export const metadata = { title: 'For other programs' }

export default async function Api() {
  const session = await whoIsIn()
  if (!session) redirect('/sign-in?to=/house/api')
  if (session.role !== 'owner') return <NotYours what="Making keys for other programs" back="/house" to="To the house" />
  const [keys, factor] = await Promise.all([listKeys(session), session.isDemo ? null : findOwnFactor(session)])
  const host = (await headers()).get('host') ?? ''
  return (
    <div className="space-y-12 pt-6">
      <section>
        <h1 className="title text-5xl">For other programs</h1>
        <p className="mt-2 max-w-prose text-lg text-soft">
          A spreadsheet, a till, a screen in the shop: each comes in by a key of its own, and asks at most {mostUses} times a
          minute. It sees what you see, no more than you let it.
        </p>
        <ApiKeys keys={keys} asks={{ password: !session.isDemo, code: factor?.isOn ?? false }} />
      </section>
      <section aria-labelledby="asked" className="border-t-2 border-ink pt-4">
        <h2 id="asked" className="title text-3xl">
          What may be asked
        </h2>
        <pre className="mt-3 overflow-x-auto bg-sheet p-4 text-sm" tabIndex={0} aria-label="An example">
          <code>{`curl -H 'authorization: Bearer KEY' http://${host}/api/v1/bench`}</code>
        </pre>
        <ul className="mt-4">
          {Object.entries(endpoints as Record<string, Endpoint>).map(([name, { method, path, may, says }]) => (
            <li key={name} className="grid gap-x-6 border-b border-line py-3 sm:grid-cols-[22rem_1fr_6rem]">
              <code className="figure [overflow-wrap:anywhere]">
                {method.toUpperCase()} /api/v1{path}
              </code>
              <span>{says}</span>
              <span className="text-soft">{may === 'read' ? 'reads' : 'writes'}</span>
            </li>
          ))}
        </ul>
        <p className="mt-4 max-w-prose">
          Every field of each, as OpenAPI 3.1: <a href="/api/v1/openapi.json">/api/v1/openapi.json</a>
        </p>
      </section>
    </div>
  )
}
