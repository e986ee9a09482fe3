import { whatMay } from '@/app/_server/may'
import { loadStudio } from '@/app/_server/session'
import { looks } from '@/core/craft/looks'
import { NotYours } from '@/ui/frame/NotYours'
import { IntakeForm } from '@/ui/piece/IntakeForm'
import type { LookName } from '@/ui/piece/IntakeReady'

export const metadata = { title: 'Take a piece in' }

const lookNames = Object.entries(looks).map(([code, { words }]) => [code, words] as LookName)

export default async function TakeIn() {
  const { method } = await loadStudio()
  if (!(await whatMay())('part')) return <NotYours what="Taking a piece in" back="/pieces" to="To the pieces" />
  return (
    <div className="pt-6">
      <h1 className="title mb-6 text-5xl">Take a piece in</h1>
      <IntakeForm method={method} looks={lookNames} />
    </div>
  )
}
