'use client'
/** A week of a room's air, and below it, on the same scale, the windows that stood in it. */
import { CategoryScale, Chart, type ChartOptions, Legend, LinearScale, LineElement, PointElement, Tooltip } from 'chart.js'
import { useMemo } from 'react'
import { Line } from 'react-chartjs-2'
import { doubts, type JudgedReading } from '@/core/climate/believe'
import { type Columns, fromColumns } from '@/core/climate/columns'
import type { Segment } from '@/core/drying/phase'
import { formatNumber } from '@/core/measure/number'
import { dayAfter, dayOf, instantOf } from '@/core/measure/time'
import { WindowLine } from '@/ui/drawing/WindowLine'
import { useHouse } from '@/ui/form/house'
import { type Inks, useInks } from '@/ui/frame/useInks'
import { airWords } from '@/words/measure'
import { dateFormat, loggedWords, type Wall } from '@/words/time'

Chart.defaults.font.family = "'Archivo Variable', sans-serif"
Chart.register(CategoryScale, LinearScale, PointElement, LineElement, Tooltip, Legend)

/** what both axes take at the sides, so that the windows below stand under their moments */
const axisPx = 46
const dayMs = 86_400_000

export interface WeekLine {
  key: string
  name: string
  words: string
  segments: Segment[]
}

/** The first moments of the days between two moments, ms. */
function daysBegun(fromMs: number, toMs: number, zone: string): number[] {
  const first = dayOf(new Date(fromMs).toISOString(), zone)
  const days = Array.from({ length: Math.ceil((toMs - fromMs) / dayMs) + 1 }, (_, k) => dayAfter(first, k))
  return days
    .flatMap((day) => instantOf(`${day}T00:00`, zone) ?? [])
    .map((at) => Date.parse(at))
    .filter((ms) => ms >= fromMs && ms <= toMs)
}
function chartOptions(inks: Inks, house: Wall, fromMs: number, toMs: number): ChartOptions<'line'> {
  const day = dateFormat(house.locale, house.zone, { weekday: 'short', day: 'numeric' })
  return {
    animation: false,
    maintainAspectRatio: false,
    interaction: { mode: 'nearest', axis: 'x', intersect: false },
    plugins: {
      legend: { labels: { color: inks.ink, font: { size: 15 }, boxWidth: 26, boxHeight: 2 } },
      tooltip: {
        callbacks: {
          title: ([item]) => (item ? loggedWords(new Date(item.parsed.x ?? 0).toISOString(), house, toMs) : ''),
        },
      },
    },
    scales: {
      x: {
        type: 'linear',
        min: fromMs,
        max: toMs,
        grid: { color: inks.line },
        // a day stands where it begins, at midnight on the wall
        afterBuildTicks: (axis) => void (axis.ticks = daysBegun(fromMs, toMs, house.zone).map((value) => ({ value }))),
        ticks: {
          color: inks.soft,
          maxRotation: 0,
          font: { size: 14 },
          callback: (value) => day.format(Number(value)),
        },
      },
      y: {
        suggestedMin: 8,
        suggestedMax: 24,
        grid: { color: inks.line },
        ticks: { color: inks.soft, font: { size: 14 } },
        afterFit: (scale) => void (scale.width = axisPx),
      },
      damp: {
        position: 'right',
        suggestedMin: 30,
        suggestedMax: 90,
        grid: { display: false },
        ticks: { color: inks.soft, font: { size: 14 } },
        afterFit: (scale) => void (scale.width = axisPx),
      },
    },
  }
}

export function WeekChart({
  air,
  doubted,
  lines,
  fromMs,
  toMs,
}: {
  /** what is believed, oldest first; one at least */
  air: Columns
  /** what is not: the last of it */
  doubted: readonly JudgedReading[]
  lines: readonly WeekLine[]
  fromMs: number
  toMs: number
}) {
  const house = useHouse()
  const inks = useInks()
  const believed = useMemo(() => fromColumns(air), [air])
  const points = (values: readonly number[]) => believed.map(({ at }, k) => ({ x: Date.parse(at), y: values[k] ?? NaN }))
  const last = believed.at(-1)
  const told = `The air of the week: ${[Math.min(...air.temperature), Math.max(...air.temperature)].map((each) => formatNumber(each, house, 1)).join(' to ')} °C`
  return (
    <div>
      <div className="h-72">
        {inks && (
          <Line
            aria-label={told}
            data={{
              datasets: [
                {
                  label: '°C',
                  data: points(air.temperature),
                  borderColor: inks.late,
                  backgroundColor: inks.late,
                  borderWidth: 2.5,
                  pointRadius: 0,
                  stepped: true,
                  yAxisID: 'y',
                },
                {
                  label: '% humidity',
                  data: points(air.humidity),
                  borderColor: inks.now,
                  backgroundColor: inks.now,
                  borderWidth: 2,
                  borderDash: [6, 4],
                  pointRadius: 0,
                  stepped: true,
                  yAxisID: 'damp',
                },
              ],
            }}
            options={chartOptions(inks, house, fromMs, toMs)}
          />
        )}
      </div>
      <ul className="mt-2" aria-label="Windows in this air" style={{ marginInline: axisPx }}>
        {lines.map(({ key, name, words, segments }) => (
          <li key={key} className="border-b border-line py-1">
            <p className="flex flex-wrap justify-between gap-x-4 text-sm">
              <span className="font-semibold">{name}</span> <span className="text-soft">{words}</span>
            </p>
            <WindowLine segments={segments} scale={{ fromMs, toMs }} words={words} plumb={false} className="h-6 w-full" />
          </li>
        ))}
      </ul>
      <NotBelieved doubted={doubted} nowMs={toMs} />
      {last && (
        <p className="mt-3 text-soft">
          Last believed: {airWords(last, house)}, {loggedWords(last.at, house, toMs)}.
        </p>
      )}
    </div>
  )
}

/** What a sensor said that is not believed, with why. */
function NotBelieved({ doubted, nowMs }: { doubted: readonly JudgedReading[]; nowMs: number }) {
  const house = useHouse()
  if (doubted.length === 0) return null
  return (
    <div className="mt-6">
      <h3 className="text-lg font-semibold">Not believed</h3>
      <ul>
        {doubted.map(({ at, temperature, humidity, doubt }) => (
          <li key={at} className="flex flex-wrap gap-x-4 border-b border-line py-2">
            <span className="text-soft">{loggedWords(at, house, nowMs)}</span>
            <span>{airWords({ temperature, humidity }, house)}</span>
            <span className="font-semibold text-late">{doubt && doubts[doubt]}</span>
          </li>
        ))}
      </ul>
    </div>
  )
}
