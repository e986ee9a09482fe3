import { describe, expect, test } from 'vitest'
import { assess } from '@/core/assess/assess'
import type { FinishWish } from '@/core/finish/wish'
import { planFinish } from '@/core/plan/planFinish'
import { type LeadFinding, leadFindings, mayHoldLead } from './lead'
import { codesOf, existingFinishes } from './parts'

const slate = { name: 'Ferry Slate', hex: '#3d5661' }
const solid: FinishWish = { look: 'smooth-solid', paint: 'chalk-mineral', colours: { a: slate } }

describe('lead is never assumed absent', () => {
  test('not known counts as suspected under every finish that may hold it: old clears as well as paint, wax and oil over them', () => {
    const held = codesOf(existingFinishes).filter((existing) => mayHoldLead({ lead: 'unknown', existing }))
    expect(held).toEqual(['wax', 'oil', 'shellac', 'lacquer', 'varnish', 'water-paint', 'oil-paint', 'casein', 'unknown'])
  })
  test('suspected and not known answer alike; found counts on bare wood too; tested or surely young is none', () => {
    for (const existing of codesOf(existingFinishes)) {
      expect(mayHoldLead({ lead: 'suspected', existing })).toBe(mayHoldLead({ lead: 'unknown', existing }))
      expect(mayHoldLead({ lead: 'found', existing })).toBe(true)
      expect(mayHoldLead({ lead: 'clear', existing })).toBe(false)
      expect(mayHoldLead({ lead: 'unlikely', existing })).toBe(false)
    }
  })
  test.each(['shellac', 'lacquer', 'varnish', 'unknown'] as const)(
    'a plan for a part as intake leaves it, with %s on it, rubs nothing dry and is covered by a primer',
    (existing) => {
      const outcome = planFinish({ substrate: 'close-grained', existing, lead: 'unknown', use: 'light', areaM2: 1 }, solid)
      if ('refusal' in outcome) throw new Error(outcome.refusal.code)
      const done = outcome.plan.steps.map(({ operation }) => operation)
      expect(done).toContain('adhesion-prime')
      const rubbed = outcome.plan.steps.filter(({ operation }) => ['scuff', 'sand', 'smooth', 'dry-distress'].includes(operation))
      expect(rubbed.length).toBeGreaterThan(0)
      for (const { grit } of rubbed) expect(grit).toMatch(/^wet/)
      expect(done).not.toContain('dewax')
      expect(outcome.plan.advice).toContain('test-lead')
    },
  )
})

describe('what nobody looked at', () => {
  const found = (lead: LeadFinding, signs: Parameters<typeof assess>[0]['signs'] = {}) =>
    assess({ tests: {}, signs }, { substrate: 'close-grained', existing: 'unknown', lead })

  test('is never a finding: the part keeps what it had, and nobody is said to have looked', () => {
    for (const lead of codesOf(leadFindings))
      expect(found(lead)).toMatchObject({ lead, leadLookedFor: false, existing: 'unknown' })
    expect(found('unknown', { age: 'unknown', lead: 'unknown' }).leadLookedFor).toBe(false)
    expect(found('unknown').risks).toContain('lead')
    expect(found('unlikely').risks).not.toContain('lead')
  })
  test('a kit that went through every coat decides; an age does not take a find back', () => {
    expect(found('found', { age: 'young' })).toMatchObject({ lead: 'found', leadLookedFor: true })
    expect(found('found', { lead: 'none' }).lead).toBe('clear')
    expect(found('unknown', { lead: 'found' }).lead).toBe('found')
    expect(found('clear', { age: 'old' }).lead).toBe('suspected')
    expect(found('unknown', { age: 'young' }).lead).toBe('unlikely')
    expect(found('unlikely', { age: 'unknown' }).lead).toBe('suspected')
  })
})
