'use client'
/** Keys for whoever works at a keyboard: each presses the button that carries it; `?` shows them. They can be put off. */
import { useEffect, useRef, useState } from 'react'
import { type KeyCode, keyWords } from '@/words/keys'

const offKey = 'itinerum.keys'
const isOff = () => localStorage.getItem(offKey) === 'off'
/** Whether a letter typed here is meant as text. */
const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLElement && (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName))
const buttonOf = (key: string) =>
  [...document.querySelectorAll<HTMLElement>(`[data-key="${CSS.escape(key)}"]`)].find((each) => each.checkVisibility())

export function Keys() {
  const dialog = useRef<HTMLDialogElement>(null)
  const [here, setHere] = useState<readonly KeyCode[]>([])
  const [off, setOff] = useState(false)
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || event.repeat || isTyping(event.target)) return
      if (document.querySelector('[role=dialog], dialog[open]')) return
      if (event.key === '?') {
        setHere((Object.keys(keyWords) as KeyCode[]).filter(buttonOf))
        setOff(isOff())
        dialog.current?.showModal()
        return
      }
      if (!(event.key in keyWords) || isOff()) return
      event.preventDefault()
      buttonOf(event.key)?.click()
    }
    document.addEventListener('keydown', press)
    return () => document.removeEventListener('keydown', press)
  }, [])
  const turn = (on: boolean) => {
    if (on) localStorage.removeItem(offKey)
    else localStorage.setItem(offKey, 'off')
    setOff(!on)
  }
  return (
    <dialog
      ref={dialog}
      aria-labelledby="keys"
      className="unprinted m-auto max-w-lg border-2 border-ink bg-sheet p-6 text-ink backdrop:bg-black/50"
    >
      <h2 id="keys" className="title text-3xl">
        Keys
      </h2>
      <dl className="mt-4 border-t border-line">
        {[...here, '?' as const].map((key) => (
          <div key={key} className="flex items-center gap-5 border-b border-line py-2 text-lg">
            <dt>
              <kbd className="figure inline-block [font-family:inherit] min-w-10 border-2 border-ink px-2 text-center text-2xl leading-9">
                {key}
              </kbd>
            </dt>
            <dd>{key === '?' ? 'This list' : keyWords[key]}</dd>
          </div>
        ))}
      </dl>
      <div className="mt-5 flex flex-wrap items-center justify-between gap-4">
        <label className="flex min-h-12 items-center gap-3">
          <input type="checkbox" checked={!off} onChange={(event) => turn(event.target.checked)} className="size-6 accent-now" />
          Letters are keys
        </label>
        <form method="dialog">
          <button type="submit" className="press press-now min-h-12 px-6">
            Close
          </button>
        </form>
      </div>
    </dialog>
  )
}
