/** A client's page by its language, and days as that writes them. */
import type { ClientLanguage } from '@/core/house/clientPage'
import { de } from './client/de'
import { en } from './client/en'
import { es } from './client/es'
import { fr } from './client/fr'
import type { ClientWords } from './client/words'
import { dateFormat } from './time'

export type { ClientWords }
export const clientWords: Record<ClientLanguage, ClientWords> = { en, de, fr, es }
export const languageNames: Record<ClientLanguage, string> = { en: 'English', de: 'Deutsch', fr: 'Français', es: 'Español' }

/** A day as this language writes it, with its weekday; `day` is YYYY-MM-DD. */
export const clientDay = (day: string, { locale }: ClientWords): string =>
  dateFormat(locale, 'UTC', { weekday: 'long', day: 'numeric', month: 'long' }).format(new Date(`${day}T12:00Z`))
/** An instant as a day of the studio's. */
export const clientDate = (instant: string, { locale }: ClientWords, { zone }: { zone: string }): string =>
  dateFormat(locale, zone, { day: 'numeric', month: 'long', year: 'numeric' }).format(new Date(instant))
