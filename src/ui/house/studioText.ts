/** The studio's facts as its forms hold them. */
import type { Studio } from '@/core/house/studio'
import type { StudioText } from '@/core/input/house'
import { moneyText } from '@/core/measure/money'
import { formatNumber, locales, numberText } from '@/core/measure/number'
import { clockTime, dateWords, minuteText } from '@/words/time'

const percent = (share: number, studio: Studio) => numberText(share * 100, studio, 3)

function wishText(studio: Studio): Pick<StudioText, 'wishKind' | 'wishValue'> {
  const { wish } = studio
  if ('margin' in wish) return { wishKind: 'margin', wishValue: percent(wish.margin, studio) }
  if ('profit' in wish) return { wishKind: 'profit', wishValue: moneyText(wish.profit, studio) }
  return { wishKind: 'earnedRate', wishValue: moneyText(wish.earnedRate, studio) }
}

export const studioText = (studio: Studio): StudioText => ({
  name: studio.name,
  currency: studio.currency,
  zone: studio.zone,
  locale: studio.locale,
  units: studio.units,
  hourRate: moneyText(studio.hourRate, studio),
  overheadRate: moneyText(studio.overheadRate, studio),
  taxMode: studio.taxMode,
  taxShare: percent(studio.taxShare, studio),
  ...wishText(studio),
  haggleShare: percent(studio.haggle, studio),
  priceStep: moneyText(studio.step, studio),
  worksFrom: minuteText(studio.hours.from),
  worksTo: minuteText(studio.hours.to),
  worksDays: studio.hours.days.map(String) as StudioText['worksDays'],
})

/** Each by an example of it: "3 Dec 2026, 14:20, 1,234.50". */
export const writingChoices = locales.map((locale) => {
  const wall = { zone: 'UTC', locale }
  const moment = '2026-12-03T14:20:00.000Z'
  return [locale, [dateWords(moment, wall), clockTime(moment, wall), formatNumber(1234.5, wall, 2, 2)].join(', ')] as const
})
