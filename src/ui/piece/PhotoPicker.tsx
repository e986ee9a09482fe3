'use client'
/** Photographs on their way to the server, one by one, each with an id of its own so that a second try is the same. */
import { useRef, useState } from 'react'
import { v7 as uuidv7 } from 'uuid'

export interface Chosen {
  id: string
  file: File
}
type State = 'waiting' | 'sending' | 'stored' | { words: string }

/** Sends one photograph; null when it is stored, else what is wrong in words. */
export async function sendPhoto({ id, file }: Chosen, pieceId: string, moment: string, alt: string): Promise<string | null> {
  const query = new URLSearchParams({ piece: pieceId, moment, at: new Date().toISOString(), alt })
  try {
    const response = await fetch(`/api/photos/${id}?${query.toString()}`, { method: 'PUT', body: file })
    if (response.ok) return null
    const said = (await response.json().catch(() => null)) as { words?: string } | null
    return said?.words ?? 'This photograph could not be stored. Try again.'
  } catch {
    return 'The server can’t be reached. The photograph was not stored; try again.'
  }
}

const stateWords = (state: State | undefined) =>
  state === 'stored' ? 'stored' : state === 'sending' ? 'sending…' : typeof state === 'object' ? state.words : 'waits'

/** Chooses files; `send` is called by the parent when the piece stands. */
export function usePhotos() {
  const [chosen, setChosen] = useState<Chosen[]>([])
  const [states, setStates] = useState<Record<string, State>>({})
  const mark = (id: string, state: State) => setStates((before) => ({ ...before, [id]: state }))
  const send = async (list: readonly Chosen[], pieceId: string, moment: string, alt: string): Promise<boolean> => {
    let allStored = true
    for (const each of list) {
      mark(each.id, 'sending')
      const trouble = await sendPhoto(each, pieceId, moment, alt)
      mark(each.id, trouble === null ? 'stored' : { words: trouble })
      allStored &&= trouble === null
    }
    return allStored
  }
  return { chosen, setChosen, states, send }
}

export function PhotoPicker({
  chosen,
  states,
  add,
  label,
}: {
  chosen: readonly Chosen[]
  states: Record<string, State>
  add: (files: Chosen[]) => void
  label: string
}) {
  const input = useRef<HTMLInputElement>(null)
  return (
    <div>
      <label className="press relative cursor-pointer">
        {label}
        <input
          ref={input}
          type="file"
          accept="image/*"
          multiple
          className="absolute inset-0 cursor-pointer opacity-0"
          onChange={(event) => {
            add([...(event.target.files ?? [])].map((file) => ({ id: uuidv7(), file })))
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
