'use client'
/** Photographs on their way: each onto this device first, then to the server, with an id of its own so that a second try is the same. */
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import type { Instant } from '@/core/measure/named'
import type { PhotoTyped } from '@/outbox/store'
import type { PhotoSent } from '@/ui/outbox/outbox'
import { useOutbox } from '@/ui/outbox/useOutbox'

export interface Chosen {
  id: string
  file: File
  at: Instant
}
export type PhotoState = 'sending' | PhotoSent

const stateWords = (state: PhotoState | undefined) =>
  typeof state === 'object'
    ? state.words
    : state === 'stored'
      ? 'stored'
      : state === 'kept'
        ? 'on this device, not stored yet'
        : state === 'sending'
          ? 'sending…'
          : 'waits'

/** Chooses files; `send` is called when what they belong to stands. False where one was refused. */
export function usePhotos() {
  const { kept, sendPhoto } = useOutbox()
  const [chosen, setChosen] = useState<Chosen[]>([])
  const [sent, setSent] = useState<Record<string, PhotoState>>({})
  const waiting = new Set(kept.map(({ typed }) => typed.entryId))
  // what waited on this device is stored once it waits no more
  const states = Object.fromEntries(
    Object.entries(sent).map(([id, state]) => [id, state === 'kept' && !waiting.has(id) ? 'stored' : state] as const),
  )
  const mark = (id: string, state: PhotoState) => setSent((before) => ({ ...before, [id]: state }))
  const send = async (list: readonly Chosen[], of: Omit<PhotoTyped, 'entryId' | 'at'>): Promise<boolean> => {
    // all of them at once, so that each is on the device before the first has gone; the outbox sends them in turn
    const states = list.map(async ({ id, file, at }) => {
      mark(id, 'sending')
      const state = await sendPhoto({ ...of, entryId: id, at }, file, `Photograph: ${of.alt}`)
      mark(id, state)
      return state
    })
    return (await Promise.all(states)).every((state) => typeof state === 'string')
  }
  return { chosen, add: (files: readonly Chosen[]) => setChosen((before) => [...before, ...files]), states, send }
}

export function PhotoPicker({
  chosen,
  states,
  add,
  label,
  camera = false,
}: {
  chosen: readonly Chosen[]
  states: Record<string, PhotoState>
  add: (files: Chosen[]) => void
  label: string
  /** a phone opens its camera at once */
  camera?: boolean
}) {
  return (
    <div>
      <label className="press relative cursor-pointer overflow-hidden">
        {label}
        <input
          type="file"
          accept="image/*"
          multiple={!camera}
          capture={camera ? 'environment' : undefined}
          className="absolute inset-0 cursor-pointer opacity-0"
          onChange={(event) => {
            const at = new Date().toISOString()
            add([...(event.target.files ?? [])].map((file) => ({ id: uuidv7(), file, at })))
            event.target.value = ''
          }}
        />
      </label>
      {chosen.length > 0 && (
        <ul className="mt-3 space-y-1" aria-live="polite">
          {chosen.map(({ id, file }) => {
            const state = states[id]
            return (
              <li key={id} className={typeof state === 'object' ? 'font-semibold text-late' : ''}>
                {file.name}: {stateWords(state)}
              </li>
            )
          })}
        </ul>
      )}
    </div>
  )
}
