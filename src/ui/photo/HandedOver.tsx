'use client'
/** Photographs that another app of the phone handed over: whose they are is said once, for all of them. */
import { useEffect, useRef, useState } from 'react'
import type { PieceId } from '@/core/measure/named'
import type { Photo } from '@/core/piece/piece'
import { ChoiceField, pairs } from '@/ui/form/Field'
import { Link } from '@/ui/frame/Link'
import { moments } from './AddPhotos'
import { type HandedOver as Handed, letGoHandedOver, listHandedOver, lostMark } from './handedStore'
import { type PhotoState, usePhotos } from './PhotoPicker'

type Shown = Handed & { picture: string }

export function HandedOver({ pieces }: { pieces: readonly { id: PieceId; name: string }[] }) {
  const photos = usePhotos()
  const [waiting, setWaiting] = useState<readonly Shown[] | null>(null)
  const [pieceId, setPieceId] = useState<PieceId>(pieces[0]?.id ?? '')
  const [moment, setMoment] = useState<Photo['moment']>('during')
  const [went, setWent] = useState<{ count: number; to: { id: PieceId; name: string } } | null>(null)
  const [isPutting, setPutting] = useState(false)
  const [isLost, setLost] = useState(false)
  const list = useRef<HTMLUListElement>(null)
  useEffect(() => {
    let made: Shown[] = []
    void listHandedOver().then((all) => {
      made = all.map((each) => ({ ...each, picture: URL.createObjectURL(each.file) }))
      setWaiting(made)
      setLost(location.hash === lostMark)
    })
    return () => made.forEach(({ picture }) => URL.revokeObjectURL(picture))
  }, [])
  const letGo = async (id: string) => {
    await letGoHandedOver(id)
    setWaiting((before) => before?.filter((each) => each.id !== id) ?? null)
  }
  const leaveOut = async (id: string) => {
    await letGo(id)
    // whoever goes by keys is at the next one
    requestAnimationFrame(() => list.current?.querySelector('button')?.focus())
  }
  const put = async () => {
    const to = pieces.find(({ id }) => id === pieceId)
    if (!waiting || !to) return
    const of = { pieceId, partId: null, stepId: null, moment, alt: `${to.name}, ${moment}` }
    setPutting(true)
    // all of them at once: each is in the outbox before the first has gone
    const came = await Promise.all(
      waiting.map(async ({ id, file, at }) => {
        const isTaken = await photos.send([{ id, file, at }], of)
        if (isTaken) await letGo(id)
        return isTaken
      }),
    )
    setPutting(false)
    const count = came.filter(Boolean).length
    setWent(count > 0 ? { count, to } : null)
  }
  if (!waiting) return <p className="mt-6 text-soft">Looking for what was handed over…</p>
  return (
    <>
      {went && (
        <p role="status" className="mt-6 border-l-4 border-now pl-4 text-lg">
          {went.count === 1 ? 'One photograph is' : `${went.count} photographs are`} with{' '}
          <Link href={`/pieces/${went.to.id}`}>{went.to.name}</Link>.
        </p>
      )}
      {isLost && (
        <p role="alert" className="mt-6 font-semibold text-late">
          Not all of them could be kept: this device has no room left. Make some, and share them again.
        </p>
      )}
      {waiting.length === 0 && !went && !isLost && (
        <p className="mt-6 max-w-prose text-lg">
          Nothing waits here. On a phone on which Itinerum is installed, choose photographs in its gallery, share them, and choose
          Itinerum: they come here, without a connection, too.
        </p>
      )}
      {waiting.length > 0 && (
        <>
          <ul ref={list} className="mt-6 grid grid-cols-2 gap-3 sm:grid-cols-4">
            {waiting.map(({ id, picture, name }) => (
              <li key={id}>
                {/* eslint-disable-next-line @next/next/no-img-element -- it is on this device alone */}
                <img
                  src={picture}
                  alt={name || 'A photograph'}
                  className="aspect-4/3 w-full border border-line bg-well object-cover"
                />
                <Refused state={photos.states[id]} />
                <button
                  type="button"
                  className="press mt-1 w-full"
                  aria-label={`Not this one: ${name || 'a photograph'}`}
                  disabled={isPutting}
                  onClick={() => void leaveOut(id)}
                >
                  Not this one
                </button>
              </li>
            ))}
          </ul>
          {pieces.length === 0 && (
            <p className="mt-4 text-lg">
              No piece is in the workshop. <Link href="/pieces/new">Take one in</Link>: these wait here meanwhile.
            </p>
          )}
          <div className="in-reach mt-6 grid grid-cols-[1fr_7.5rem] items-end gap-3 sm:flex">
            <ChoiceField
              label="Whose they are"
              value={pieceId}
              onChange={({ target }) => setPieceId(target.value)}
              options={pieces.map(({ id, name }) => [id, name] as const)}
            />
            <ChoiceField
              label="Taken"
              value={moment}
              onChange={({ target }) => setMoment(target.value as Photo['moment'])}
              options={pairs(moments)}
            />
            <button
              type="button"
              className="press press-now col-span-2 min-h-14 text-lg sm:px-8"
              disabled={pieceId === '' || isPutting}
              onClick={() => void put()}
            >
              {waiting.length === 1 ? 'Put it with the piece' : `Put ${waiting.length} with the piece`}
            </button>
          </div>
        </>
      )}
    </>
  )
}

/** Why the server would not have it; it waits here still. */
const Refused = ({ state }: { state: PhotoState | undefined }) =>
  typeof state === 'object' && (
    <p role="alert" className="mt-1 font-semibold text-late">
      {state.words}
    </p>
  )
