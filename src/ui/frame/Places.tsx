'use client'
/** The places of the app along one line; the brush stroke lies under where you are. On a phone they are at the thumb. */
import { usePathname } from 'next/navigation'
import { Link } from '@/ui/frame/Link'

const places = [
  { href: '/', words: 'Bench' },
  { href: '/week', words: 'Week' },
  { href: '/pieces', words: 'Pieces' },
  { href: '/shelf', words: 'Shelf' },
  { href: '/house', words: 'House' },
] as const

const isHere = (path: string, href: string) => (href === '/' ? path === '/' : path === href || path.startsWith(`${href}/`))

export function Places() {
  const path = usePathname()
  return (
    <nav
      aria-label="Places"
      className="unprinted fixed inset-x-0 bottom-0 z-20 border-t-2 border-ink bg-ground sm:static sm:border-0"
    >
      <ul className="flex justify-around sm:justify-end sm:gap-2">
        {places.map(({ href, words }, k) => {
          const here = isHere(path, href)
          return (
            <li key={href} className="flex-1 sm:flex-none">
              <Link
                href={href}
                data-key={k + 1}
                aria-current={here ? 'page' : undefined}
                className="relative flex h-14 items-center justify-center px-4 text-lg font-semibold no-underline [font-stretch:88%]"
              >
                {words}
                {here && (
                  <svg
                    viewBox="0 0 100 12"
                    preserveAspectRatio="none"
                    aria-hidden
                    className="absolute bottom-2 left-2 h-2 w-[calc(100%-1rem)]"
                  >
                    <path d="M0 6C14 1 22 1 34 1H70C84 1 92 5 100 6C92 7 84 11 70 11H34C22 11 14 11 0 6Z" fill="var(--now)" />
                  </svg>
                )}
              </Link>
            </li>
          )
        })}
      </ul>
    </nav>
  )
}
