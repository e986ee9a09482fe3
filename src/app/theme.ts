/** Light or dark, as it was chosen on this device. */
import type { Theme } from '@/ui/frame/ThemeButton'

/** Null where nothing was chosen. */
export function themeOf(cookies: { get: (name: string) => { value: string } | undefined }): Theme | null {
  const kept = cookies.get('theme')?.value
  return kept === 'light' || kept === 'dark' ? kept : null
}
