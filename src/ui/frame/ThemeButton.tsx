'use client'
/** Day or evening bench; the device's own choice until somebody chooses. */
import { MoonStar, Sun } from 'lucide-react'
import { useState } from 'react'

export type Theme = 'light' | 'dark'

export function ThemeButton({ chosen }: { chosen: Theme | null }) {
  const [theme, setTheme] = useState<Theme | null>(chosen)
  const turn = () => {
    const current = theme ?? (matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light')
    const next = current === 'dark' ? 'light' : 'dark'
    document.documentElement.dataset.theme = next
    document.cookie = `theme=${next}; path=/; max-age=31536000; samesite=strict`
    setTheme(next)
  }
  return (
    <button
      type="button"
      onClick={turn}
      aria-label="Day or evening colours"
      className="unprinted grid size-12 cursor-pointer place-items-center rounded-sm"
    >
      {theme === 'dark' ? <MoonStar aria-hidden size={22} /> : <Sun aria-hidden size={22} />}
    </button>
  )
}
