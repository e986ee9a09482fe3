'use client'
/** The page's own ink and accents, read where they are set: for charts, which know no style sheet. */
import { useEffect, useState } from 'react'

export type Inks = Record<'ink' | 'soft' | 'line' | 'now' | 'late', string>
export function useInks(): Inks | null {
  const [inks, setInks] = useState<Inks | null>(null)
  useEffect(() => {
    const read = () => {
      const style = getComputedStyle(document.documentElement)
      const of = (name: string) => style.getPropertyValue(`--${name}`).trim()
      setInks({ ink: of('ink'), soft: of('soft'), line: of('line'), now: of('now'), late: of('late') })
    }
    const dark = matchMedia('(prefers-color-scheme: dark)')
    const timer = setTimeout(read)
    dark.addEventListener('change', read)
    const watching = new MutationObserver(read)
    watching.observe(document.documentElement, { attributes: true, attributeFilter: ['data-theme'] })
    return () => {
      clearTimeout(timer)
      dark.removeEventListener('change', read)
      watching.disconnect()
    }
  }, [])
  return inks
}
