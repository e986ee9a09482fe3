'use client'
/** Opens the sheet on which a mix is made up. */
import { useState } from 'react'
import type { CoatPlan, MixPlan } from '@/core/bench/coatPlan'
import type { StepCard } from '@/core/bench/stepCard'
import { later } from '@/ui/frame/later'
import { cardName } from '@/words/craft'

const MixSheet = later(async () => (await import('./MixSheet')).MixSheet)

export function MixButton(props: { card: StepCard; plan: CoatPlan; making: MixPlan }) {
  const [open, setOpen] = useState(false)
  return (
    <>
      <button
        type="button"
        className="press"
        aria-haspopup="dialog"
        aria-expanded={open}
        aria-label={`Mix it: ${cardName(props.card)}`}
        onClick={() => setOpen(true)}
      >
        Mix it
      </button>
      {open && <MixSheet {...props} close={() => setOpen(false)} />}
    </>
  )
}
