/** A client's photographs in the order they were taken, each with its day. */
import type { Photo } from '@/core/piece/piece'
import { clientDate, type ClientWords } from '@/words/client'

interface Props {
  words: ClientWords
  photos: readonly Photo[]
  token: string
  zone: string
}
export function ClientPhotos({ words, photos, token, zone }: Props) {
  return (
    <section aria-labelledby="photographs" className="lg:col-span-2">
      <h2 id="photographs" className="title border-t-2 border-ink pt-3 text-3xl">
        {words.photographs}
      </h2>
      <ol className="mt-4 grid grid-cols-2 gap-x-4 gap-y-6 sm:grid-cols-3">
        {photos.map(({ id, alt, width, height, takenAt }) => (
          <li key={id} className="break-inside-avoid">
            <a href={`/for/${token}/photo/${id}?size=large`} className="block no-underline">
              {/* made in two sizes when it came in: nothing is left to make smaller */}
              {/* eslint-disable-next-line @next/next/no-img-element */}
              <img
                src={`/for/${token}/photo/${id}?size=small`}
                alt={alt}
                width={width}
                height={height}
                loading="lazy"
                className="aspect-[4/3] w-full rounded-sm object-cover"
              />
              <span className="mt-1 block text-soft">{clientDate(takenAt, words, { zone })}</span>
            </a>
          </li>
        ))}
      </ol>
    </section>
  )
}
