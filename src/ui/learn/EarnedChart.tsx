'use client'
/** What an hour earned, group by group, beside what an hour is to cost. The table under it says the same. */
import { BarElement, CategoryScale, Chart, type ChartOptions, LinearScale, Tooltip } from 'chart.js'
import { Bar } from 'react-chartjs-2'
import { formatMoney } from '@/core/measure/money'
import { useHouse } from '@/ui/form/house'
import { type Inks, useInks } from '@/ui/frame/useInks'

Chart.defaults.font.family = "'Archivo Variable', sans-serif"
Chart.register(CategoryScale, LinearScale, BarElement, Tooltip)

interface Row {
  words: string
  /** minor units */
  earned: number
}
export function EarnedChart({ rows, rate }: { rows: readonly Row[]; rate: number }) {
  const house = useHouse()
  const inks = useInks()
  const money = (minor: number) => formatMoney(minor, house, { short: true })
  return (
    <div className="mt-4" style={{ height: `${rows.length * 3 + 3}rem` }} aria-hidden>
      {inks && (
        <Bar
          options={optionsOf(inks, money)}
          data={{
            labels: rows.map(({ words }) => words),
            datasets: [
              {
                data: rows.map(({ earned }) => earned),
                // what does not pay an hour its rate is told apart by more than its colour: it is shorter than the line
                backgroundColor: rows.map(({ earned }) => (earned >= rate ? inks.now : earned >= 0 ? inks.soft : inks.late)),
                barPercentage: 0.62,
              },
            ],
          }}
          plugins={[
            {
              id: 'rate',
              afterDatasetsDraw: ({ ctx, chartArea, scales }) => {
                const x = scales.x?.getPixelForValue(rate)
                if (x === undefined || x < chartArea.left || x > chartArea.right) return
                ctx.save()
                ctx.strokeStyle = inks.ink
                ctx.lineWidth = 2
                ctx.setLineDash([7, 5])
                ctx.beginPath()
                ctx.moveTo(x, chartArea.top)
                ctx.lineTo(x, chartArea.bottom)
                ctx.stroke()
                ctx.restore()
              },
            },
          ]}
        />
      )}
    </div>
  )
}

const optionsOf = (inks: Inks, money: (minor: number) => string): ChartOptions<'bar'> => ({
  animation: false,
  indexAxis: 'y',
  maintainAspectRatio: false,
  plugins: { tooltip: { callbacks: { label: ({ parsed }) => ` ${money(parsed.x ?? 0)} an hour` } } },
  scales: {
    x: {
      beginAtZero: true,
      grid: { color: inks.line },
      ticks: { color: inks.soft, font: { size: 14 }, callback: (value) => money(Number(value)) },
    },
    y: { grid: { display: false }, ticks: { color: inks.ink, font: { size: 16, weight: 600 } } },
  },
})
