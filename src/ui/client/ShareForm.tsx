'use client'
/** What a client's page shows, chosen by the piece; then the links that lead to it. */
import { useRouter } from 'next/navigation'
import { type ReactNode, useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { type ClientLanguage, clientLanguages, type ClientShows, clientShows } from '@/core/house/clientPage'
import { useActions } from '@/ui/form/actions'
import { ChoiceField, Trouble } from '@/ui/form/Field'
import { useWrite } from '@/ui/form/useWrite'
import { Picture } from '@/ui/photo/Picture'
import { languageNames } from '@/words/client'
import { type ClientLink, ClientLinks } from './ClientLinks'

const showWords: Record<ClientShows, readonly [string, string]> = {
  photographs: ['Photographs', 'those you choose below, in time'],
  section: ['What lies on it', 'each part’s section as it grows'],
  next: ['How far it is', 'put right, primed, painted, protected'],
  ready: ['The day', 'as promised, or not before its steps and their drying allow'],
  talk: ['Questions', 'asked there, answered here, kept with the piece'],
  record: ['Record and care', 'as soon as it is done'],
}
interface Page {
  shows: readonly ClientShows[]
  language: ClientLanguage
  photoIds: readonly string[]
}
interface Props {
  pieceId: string
  /** null: nothing was chosen yet */
  kept: Page | null
  usual: Page
  photos: readonly { id: string; alt: string; words: string; width: number; height: number }[]
  links: readonly ClientLink[]
  host: string | null
  isOutside: boolean
  /** letters can be sent */
  hasMail: boolean
  /** the client waits for an answer: that comes first */
  isAsked: boolean
  /** what is said */
  children: ReactNode
}

const isSameSet = (one: readonly string[], other: readonly string[]): boolean =>
  one.length === other.length && one.every((each) => other.includes(each))
const isSame = (one: Page, other: Page): boolean =>
  one.language === other.language && isSameSet(one.shows, other.shows) && isSameSet(one.photoIds, other.photoIds)

export function ShareForm({ pieceId, kept, usual, photos, links, host, isOutside, hasMail, isAsked, children }: Props) {
  const { keepClientPage } = useActions()
  const router = useRouter()
  const write = useWrite(keepClientPage)
  const [page, setPage] = useState<Page>(kept ?? usual)
  const [stored, setStored] = useState(kept)
  const isKept = stored !== null && isSame(page, stored)
  // what was chosen at another desk is taken up, unless something is chosen here that is not kept yet
  const [read, setRead] = useState(kept)
  if (kept !== null && (read === null || !isSame(kept, read))) {
    setRead(kept)
    setStored(kept)
    if (isSame(page, stored ?? usual)) setPage(kept)
  }
  const change = (to: Partial<Page>) => {
    setPage((before) => ({ ...before, ...to }))
  }
  const turn = <T extends string>(all: readonly T[], one: T): T[] =>
    all.includes(one) ? all.filter((each) => each !== one) : [...all, one]
  const keep = async (): Promise<boolean> => {
    if (isKept) return true
    const { shows, language, photoIds } = page
    if (!(await write.send({ entryId: uuidv7(), pieceId, shows: [...shows], language, photoIds: [...photoIds] }))) return false
    setStored(page)
    router.refresh()
    return true
  }
  return (
    <div className="mt-6 grid grid-cols-1 gap-x-14 gap-y-12 lg:grid-cols-2">
      <section aria-labelledby="shows" className="self-start border-t-2 border-ink pt-4">
        <h2 id="shows" className="title text-3xl">
          What the page shows
        </h2>
        <ul className="mt-2">
          {clientShows.map((each) => (
            <li key={each} className="border-b border-line">
              <label className="flex min-h-14 cursor-pointer items-center gap-4 py-2">
                <input
                  type="checkbox"
                  checked={page.shows.includes(each)}
                  onChange={() => change({ shows: turn(page.shows, each) })}
                  className="size-6 shrink-0 accent-now"
                />
                <span>
                  <strong className="block text-lg leading-tight">{showWords[each][0]}</strong>
                  <span className="text-soft">{showWords[each][1]}</span>
                </span>
              </label>
            </li>
          ))}
        </ul>
        {page.shows.includes('photographs') && photos.length > 0 && (
          <fieldset className="mt-5">
            <legend className="font-semibold">Which photographs</legend>
            <div className="mt-2 grid grid-cols-3 gap-3 sm:grid-cols-4">
              {photos.map(({ id, alt, words, width, height }) => (
                <label key={id} className="relative block cursor-pointer">
                  <input
                    type="checkbox"
                    checked={page.photoIds.includes(id)}
                    onChange={() => change({ photoIds: turn(page.photoIds, id) })}
                    className="absolute left-2 top-2 z-10 size-6 accent-now"
                  />
                  <Picture
                    {...{ photoId: id, alt, width, height }}
                    size="small"
                    loading="lazy"
                    className={`aspect-[4/3] w-full rounded-sm object-cover ${page.photoIds.includes(id) ? 'outline-3 outline-now' : 'opacity-50'}`}
                  />
                  <span className="block truncate text-sm text-soft">{words}</span>
                </label>
              ))}
            </div>
          </fieldset>
        )}
        <div className="mt-5 flex flex-wrap items-end gap-4">
          <ChoiceField
            label="In which language"
            value={page.language}
            onChange={(event) => change({ language: event.target.value as ClientLanguage })}
            options={clientLanguages.map((code) => [code, languageNames[code]])}
          />
          <button type="button" className="press min-h-12" disabled={write.pending || isKept} onClick={() => void keep()}>
            {isKept ? 'Kept' : 'Keep it so'}
          </button>
        </div>
        <Trouble>{write.issue}</Trouble>
      </section>
      <div className={`flex flex-col gap-12 ${isAsked ? 'order-first lg:order-none' : ''}`}>
        {isAsked && children}
        <ClientLinks {...{ pieceId, links, host, isOutside, hasMail, keep }} />
        {!isAsked && children}
      </div>
    </div>
  )
}
