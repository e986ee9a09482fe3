'use client'
/** Every look this part can have, each drawn by its section; what it can't have stands apart, with why. */
import { RadioGroup } from 'radix-ui'
import { getLook, type LookCode } from '@/core/craft/looks'
import type { RefusalCode } from '@/core/finish/refusal'
import type { FinishWish } from '@/core/finish/wish'
import type { CrossSection as SectionModel } from '@/core/piece/section'
import { Section } from '@/ui/drawing/Section'
import { refusalWords } from '@/words/craft'

/** `section`: null until it is drawn */
export type LookDrawn = { code: LookCode } & ({ section: SectionModel | null } | { refusal: RefusalCode })

export function LookChoice({
  look,
  choose,
  drawn,
}: {
  look: FinishWish['look']
  choose: (look: LookCode) => void
  drawn: readonly LookDrawn[]
}) {
  const can = drawn.filter((each) => 'section' in each || each.code === look)
  const cannot = drawn.filter((each) => 'refusal' in each && each.code !== look)
  return (
    <>
      {/* on a phone it is a strip to be scrolled, by keys too */}
      <div
        role="group"
        aria-label="Every look"
        tabIndex={0}
        className="-mx-4 snap-x overflow-x-auto py-1 sm:mx-0 sm:overflow-visible"
      >
        <RadioGroup.Root
          value={look}
          onValueChange={(value) => choose(value as LookCode)}
          aria-label="Look"
          className="flex w-max gap-2 px-4 sm:grid sm:w-auto sm:grid-cols-6 sm:px-0"
        >
          {can.map((each) => (
            <RadioGroup.Item
              key={each.code}
              value={each.code}
              title={getLook(each.code).tells}
              className="sheet flex w-24 shrink-0 cursor-pointer snap-start flex-col overflow-hidden text-left sm:w-auto outline-offset-2 data-[state=checked]:outline-4 data-[state=checked]:outline-now"
            >
              {'section' in each && each.section ? (
                <Section model={each.section} className="w-full shrink-0" />
              ) : (
                <span className="title grid aspect-square w-full shrink-0 place-items-center bg-well text-xl text-soft">
                  {'refusal' in each && 'not here'}
                </span>
              )}
              <span className="px-2 py-1.5 text-sm font-semibold leading-tight">{getLook(each.code).words}</span>
            </RadioGroup.Item>
          ))}
        </RadioGroup.Root>
      </div>
      <p className="mt-3 sm:text-lg">{getLook(look).tells}</p>
      {cannot.length > 0 && (
        <details className="sm:mt-2">
          <summary className="tap underline">{cannot.length} looks this part can’t have</summary>
          <ul>
            {cannot.map((each) => (
              <li key={each.code} className="border-b border-line py-1.5">
                <span className="font-semibold">{getLook(each.code).words}.</span>{' '}
                <span className="text-soft">{'refusal' in each && refusalWords[each.refusal]}</span>
              </li>
            ))}
          </ul>
        </details>
      )}
    </>
  )
}
