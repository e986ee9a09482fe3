/** The workshop's week. */
import { loadWeek } from '@/app/_server/loadWeek'
import { WeekView } from '@/ui/week/WeekView'

export const metadata = { title: 'Week' }

export default async function Week() {
  return <WeekView written={await loadWeek()} />
}
