'use client'
/**
 * The steps of a plan as they will be worked; leave one out, drag it (by hand, or by keyboard: space, arrows, space) or move
 * it by its buttons, and what will not get on is said where it happens.
 */
import { closestCenter, DndContext, KeyboardSensor, PointerSensor, useSensor, useSensors } from '@dnd-kit/core'
import { SortableContext, sortableKeyboardCoordinates, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable'
import { CSS } from '@dnd-kit/utilities'
import { ArrowDown, ArrowUp, GripVertical } from 'lucide-react'
import { useId } from 'react'
import { v7 as uuidv7 } from 'uuid'
import type { StepWindow } from '@/core/craft/windows'
import type { DeskAct } from '@/core/desk/desk'
import { sectionsOf } from '@/core/finish/sections'
import type { PlannedStep } from '@/core/finish/step'
import { type EditedStep, type OwnStep, spotAt, type StepChange, type StepEdits } from '@/core/plan/stepEdits'
import type { Conflict } from '@/core/stack/checkStack'
import { StepFields } from '@/ui/desk/StepFields'
import { cautionWords, checkWords, sourceWords, stepTitle, whyWords, withWhat } from '@/words/craft'
import { sectionWords } from '@/words/inSections'
import { spanWords } from '@/words/time'
import { ConflictLine } from './ConflictLine'

function waitWords({ opens, closes }: StepWindow): string {
  if (opens[1] === 0) return closes ? `go on within ${spanWords(closes[0])}` : 'go on at once'
  return `then wait ${spanWords(opens[1])}${closes ? `, but no longer than ${spanWords(closes[0])}` : ''}`
}

interface Props {
  steps: readonly EditedStep[]
  /** as they were planned, by key */
  planned: ReadonlyMap<string, PlannedStep>
  conflicts: ReadonlyMap<string, readonly Conflict[]>
  edits: StepEdits
  act: (act: DeskAct) => void
}

export function StepList({ steps, planned, conflicts, edits, act }: Props) {
  const id = useId()
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  )
  const indexOf = (key: unknown) => steps.findIndex((each) => each.key === key)
  const move = (from: number, to: number) => {
    const own = steps[from]
    if (!own || to < 0 || to >= steps.length) return
    const rest = steps.filter((each) => each !== own).map(({ key }) => key)
    act({ kind: 'move-step', key: own.key, to: spotAt(rest, to) })
  }
  const titleAt = (key: unknown) => {
    const found = steps[indexOf(key)]
    return found ? stepTitle(found.step) : ''
  }
  return (
    <DndContext
      id={id}
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={({ active, over }) => {
        if (over && over.id !== active.id) move(indexOf(active.id), indexOf(over.id))
      }}
      accessibility={{
        screenReaderInstructions: {
          draggable: 'Space takes the step up, arrows move it, space puts it down, Escape puts it back.',
        },
        announcements: {
          onDragStart: ({ active }) => `${titleAt(active.id)} taken up.`,
          onDragOver: ({ over }) => (over ? `Now at place ${indexOf(over.id) + 1}.` : ''),
          onDragEnd: ({ active, over }) => `${titleAt(active.id)} put down${over ? ` at place ${indexOf(over.id) + 1}` : ''}.`,
          onDragCancel: ({ active }) => `${titleAt(active.id)} put back.`,
        },
      }}
    >
      <SortableContext items={steps.map(({ key }) => key)} strategy={verticalListSortingStrategy}>
        <ol className="mt-4 border-t border-line" aria-label="Steps">
          {steps.map((each, k) => (
            <StepLine
              key={each.key}
              each={each}
              index={k}
              last={k === steps.length - 1}
              sections={each.left ? 1 : sectionsOf(each.step, steps.slice(k + 1).find(({ left }) => !left)?.step)}
              conflicts={conflicts.get(each.key) ?? []}
              planned={planned.get(each.key) ?? each.step}
              change={edits.changes[each.key]}
              act={act}
              move={move}
            />
          ))}
        </ol>
      </SortableContext>
    </DndContext>
  )
}

interface LineProps {
  each: EditedStep
  index: number
  last: boolean
  sections: number
  conflicts: readonly Conflict[]
  planned: PlannedStep
  change: StepChange | undefined
  act: (act: DeskAct) => void
  move: (from: number, to: number) => void
}

function StepLine({ each, index, last, sections, conflicts, planned, change, act, move }: LineProps) {
  const { key, step, left } = each
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } = useSortable({ id: key })
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={`grid grid-cols-[1fr_auto] border-b border-line ${left ? 'opacity-80' : ''} ${isDragging ? 'relative z-10 bg-ground shadow-[0_0_0_2px_var(--color-now)]' : ''}`}
    >
      <details className="min-w-0">
        <summary className="grid min-h-12 cursor-pointer grid-cols-[2rem_1fr_auto] items-baseline gap-x-2 py-1.5">
          <span className="figure text-lg text-soft">{index + 1}</span>
          <span>
            <span className={`font-semibold ${left ? 'line-through' : ''}`}>{stepTitle(step)}</span>
            {(step.own ?? step.changed) && (
              <span className="ml-2 text-sm font-semibold text-now">{step.own ? 'yours' : 'changed by you'}</span>
            )}
            {step.window && !left && <span className="text-sm text-soft max-sm:ml-2 sm:block">{waitWords(step.window)}</span>}
            {sections > 1 && <span className="block text-sm font-semibold">{sectionWords(sections)}</span>}
            {conflicts.map((conflict) => (
              <ConflictLine key={conflict.code} conflict={conflict} />
            ))}
          </span>
          <span className="text-soft">{left ? 'left out' : `${step.minutes} min`}</span>
        </summary>
        <StepFacts step={step} />
        <StepFields step={step} planned={planned} change={change} set={(over) => act({ kind: 'change-step', key, over })} />
        <div className="flex flex-wrap gap-2 pb-4 pl-10">
          {step.own ? (
            <button type="button" className="press" onClick={() => act({ kind: 'drop-step', id: key })}>
              Take it out
            </button>
          ) : (
            <>
              <button type="button" className="press" onClick={() => act({ kind: 'leave', key, out: !left })}>
                {left ? 'Put it back' : 'Leave it out'}
              </button>
              <button type="button" className="press" onClick={() => act({ kind: 'add-step', step: onceMore(key, step) })}>
                Once more
              </button>
            </>
          )}
          <button
            type="button"
            className="press px-3"
            disabled={index === 0}
            onClick={() => move(index, index - 1)}
            aria-label={`Earlier: ${stepTitle(step)}`}
          >
            <ArrowUp aria-hidden size={20} />
          </button>
          <button
            type="button"
            className="press px-3"
            disabled={last}
            onClick={() => move(index, index + 1)}
            aria-label={`Later: ${stepTitle(step)}`}
          >
            <ArrowDown aria-hidden size={20} />
          </button>
        </div>
      </details>
      <button
        type="button"
        ref={setActivatorNodeRef}
        {...attributes}
        {...listeners}
        aria-label={`Move: ${stepTitle(step)}`}
        className="flex min-h-12 w-12 cursor-grab touch-none items-center justify-center text-soft"
      >
        <GripVertical aria-hidden size={20} />
      </button>
    </li>
  )
}

/** The same step again, after it. */
const onceMore = (key: string, { operation, words, minutes }: PlannedStep): OwnStep => ({
  id: uuidv7(),
  at: { after: key, before: null },
  like: key,
  operation,
  words: words ?? null,
  minutes,
  check: null,
})

function StepFacts({ step }: { step: PlannedStep }) {
  const facts = [
    withWhat(step),
    step.check && `done when: ${checkWords[step.check]}`,
    step.window && `window: ${sourceWords[step.window.source]}`,
  ]
  return (
    <div className="pb-3 pl-10">
      <p>
        {whyWords(step)} {!step.needed && <span className="text-soft">It can be left out.</span>}
      </p>
      <p className="text-soft">{facts.filter(Boolean).join(' · ')}</p>
      {step.cautions.map((code) => (
        <p key={code} className="mt-2 border-l-4 border-late pl-3 font-semibold">
          {cautionWords[code]}
        </p>
      ))}
    </div>
  )
}
