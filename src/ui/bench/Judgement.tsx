'use client'
/** What the rules say of a part, where they say anything. */
import type { Judged } from '@/core/piece/judged'
import { whereShown } from '@/ui/frame/later'

const JudgementLines = whereShown(async () => (await import('./JudgementLines')).JudgementLines)

export function Judgement({ judged, className = '' }: { judged: Judged; className?: string }) {
  const { air, behind, next, ahead } = judged
  return air || behind.length + next.length + ahead.length > 0 ? <JudgementLines {...{ judged, className }} /> : null
}
