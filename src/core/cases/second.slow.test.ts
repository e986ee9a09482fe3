/**
 * The worked functions on a hundred thousand random cases, each against a second implementation written apart from the first: in
 * whole numbers without fractions where money is reckoned, and by plain counting elsewhere.
 */
import fc from 'fast-check'
import { expect, test } from 'vitest'
import { calibrate, coatVolumes, drawFromLots, mixBatch, priceFor, surfaceArea } from '@/core'

const runs = 17_000
const near = (found: number, wanted: number) => Math.abs(found - wanted) <= 1e-9 * Math.max(1, Math.abs(found), Math.abs(wanted))
const ok = (is: boolean, told: unknown) => {
  if (!is) throw new Error(JSON.stringify(told, (_, value: unknown) => (typeof value === 'bigint' ? String(value) : value)))
}

/** A fraction of whole numbers rounded half away from nothing; the lower one is above it. */
function rounded(above: bigint, below: bigint): bigint {
  const size = above < 0n ? -above : above
  const whole = (2n * size + below) / (2n * below)
  return above < 0n ? -whole : whole
}
const up = (above: bigint, below: bigint): bigint => (above <= 0n ? -(-above / below) : (above + below - 1n) / below)

test('prices, in whole numbers alone', () => {
  const money = fc.integer({ min: 0, max: 90_000 })
  const thousandth = (most: number) => fc.integer({ min: 0, max: most })
  const asked = fc.record({
    costs: fc.array(fc.record({ kind: fc.constantFrom('bought', 'materials', 'fetching'), amount: money }), { maxLength: 4 }),
    quarters: fc.integer({ min: 1, max: 200 }),
    rate: fc.integer({ min: 0, max: 6_000 }),
    fee: thousandth(600),
    fixed: fc.integer({ min: 0, max: 3_000 }),
    mode: fc.constantFrom('none' as const, 'inclusive' as const, 'margin' as const),
    tax: thousandth(300),
    paid: money,
    wish: fc.constantFrom('profit' as const, 'margin' as const, 'earnedRate' as const),
    much: fc.integer({ min: 0, max: 5_000 }),
    share: thousandth(700),
    haggle: thousandth(300),
    step: fc.constantFrom(1, 50, 500, 1_000),
    price: fc.integer({ min: 0, max: 200_000 }),
    expected: fc.integer({ min: 0, max: 200_000 }),
  })
  fc.assert(
    fc.property(asked, (a) => {
      const T = BigInt(a.mode === 'none' ? 0 : a.tax)
      // everything times 4 (quarters of hours) × 1000 (fees, margins) × (1000 + T) (tax)
      const one = 4n * 1000n * (1000n + T)
      const kept = (price: bigint, bought: bigint, margin: bigint): bigint => {
        const taxed = a.mode === 'none' ? 0n : a.mode === 'inclusive' ? price : price > bought ? price - bought : 0n
        return price * one - taxed * T * 4000n - (BigInt(a.fee) + margin) * price * 4n * (1000n + T) - BigInt(a.fixed) * one
      }
      const [hours4, rate] = [BigInt(a.quarters), BigInt(a.rate)]
      const cost = a.costs.reduce((sum, { amount }) => sum + BigInt(amount), 0n)
      const labour = rounded(hours4 * rate, 4n)
      const margin = a.wish === 'margin' ? BigInt(a.share) : 0n
      const wanted4 =
        a.wish === 'earnedRate' ? hours4 * BigInt(a.much) : 4n * (labour + (a.wish === 'profit' ? BigInt(a.much) : 0n))
      const bought = BigInt(a.paid)
      const least = (need4: bigint, share: bigint): bigint | null => {
        const enough = (price: bigint) => kept(price, bought, share) >= need4 * (one / 4n)
        const search = (from: bigint, to: bigint) => {
          let [low, high] = [from, to]
          while (low < high) {
            const middle = (low + high) / 2n
            if (enough(middle)) high = middle
            else low = middle + 1n
          }
          return low
        }
        if (enough(0n)) return 0n
        const knee = a.mode === 'margin' ? bought : 0n
        if (enough(knee)) return search(0n, knee)
        let far = knee + 1n
        for (let tries = 0; tries < 60 && !enough(far); tries += 1) far = knee + (far - knee) * 2n
        return enough(far) ? search(knee, far) : null
      }
      const found = {
        breakEven: least(4n * cost, 0n),
        floor: least(4n * (cost + labour), 0n),
        target: least(wanted4 + 4n * cost, margin),
      }
      const input = {
        ...{ costs: a.costs, hours: a.quarters / 4, rate: a.rate, haggle: a.haggle / 1000, step: a.step },
        ...{ channel: { feeShare: a.fee / 1000, feeFixed: a.fixed }, price: a.price, expected: a.expected },
        tax:
          a.mode === 'none'
            ? { mode: a.mode }
            : a.mode === 'inclusive'
              ? { mode: a.mode, share: a.tax / 1000 }
              : { mode: a.mode, share: a.tax / 1000, bought: a.paid },
        wish:
          a.wish === 'profit' ? { profit: a.much } : a.wish === 'margin' ? { margin: a.share / 1000 } : { earnedRate: a.much },
      } as const
      if (found.breakEven === null || found.floor === null || found.target === null) {
        expect(() => priceFor(input)).toThrow()
        return
      }
      const ask = up(found.target * 1000n, (1000n - BigInt(a.haggle)) * BigInt(a.step)) * BigInt(a.step)
      const left = kept(BigInt(a.price), bought, 0n) - cost * one
      // money an hour: times four, over quarters
      const earned = rounded(4n * left, one * hours4)
      const others = a.costs.reduce((sum, { kind, amount }) => (kind === 'bought' ? sum : sum + BigInt(amount)), 0n)
      const stands = (bid: bigint) => kept(BigInt(a.expected), bid, margin) - (others + bid) * one >= wanted4 * (one / 4n)
      let bid: bigint | null = null
      if (stands(0n)) {
        let [low, high] = [0n, BigInt(a.expected) + 1n]
        while (high - low > 1n) {
          const middle = (low + high) / 2n
          if (stands(middle)) low = middle
          else high = middle
        }
        bid = low
      }
      const price = priceFor(input)
      const told = { ...found, ask, earned, bid, cost, labour }
      ok(
        BigInt(price.cost) === cost &&
          BigInt(price.labour) === labour &&
          BigInt(price.breakEven) === found.breakEven &&
          BigInt(price.floor) === found.floor &&
          BigInt(price.target) === found.target &&
          BigInt(price.ask) === ask &&
          BigInt(price.earned ?? 0) === earned &&
          (price.highestBid === null ? bid === null : BigInt(price.highestBid) === bid),
        { input, price, told },
      )
      // the reason why a floor lies above a target is said on screen: it is less wished for than an hour costs
      ok(price.ask >= price.target && price.floor >= price.breakEven, { price })
    }),
    { numRuns: runs },
  )
}, 900_000)

test('draws from tins, by looking for the next one again and again', () => {
  const day = (n: number) => new Date(Date.UTC(2026, 0, 1 + n)).toISOString()
  const lot = fc
    .record({
      size: fc.integer({ min: 1, max: 2_000 }),
      full: fc.double({ min: 0, max: 1, noNaN: true }),
      price: fc.nat(9_000),
      opened: fc.option(fc.nat(30)),
      bought: fc.nat(30),
    })
    .map(({ size, full, price, opened, bought }) => ({
      size,
      remaining: Math.floor(size * full),
      price,
      openedAt: opened === null ? null : day(opened),
      boughtAt: day(bought),
    }))
  fc.assert(
    fc.property(fc.array(lot, { maxLength: 6 }), fc.nat(5_000), (bare, amount) => {
      const lots = bare.map((each, index) => ({ ...each, id: `lot-${(index * 7) % 11}` }))
      const waiting = [...lots]
      const draws: { lot: string; amount: number; cost: number }[] = []
      let left = amount
      while (left > 0 && waiting.length > 0) {
        const rank = (each: (typeof lots)[number]) => `${each.openedAt ? `0${each.openedAt}` : `1${each.boughtAt}`} ${each.id}`
        const next = waiting.reduce((first, each) => (rank(each) < rank(first) ? each : first))
        waiting.splice(waiting.indexOf(next), 1)
        if (next.remaining === 0) continue
        const taken = next.remaining < left ? next.remaining : left
        const gone = (rest: number) => rounded(BigInt(next.price) * BigInt(next.size - rest), BigInt(next.size))
        draws.push({ lot: next.id, amount: taken, cost: Number(gone(next.remaining - taken) - gone(next.remaining)) })
        left -= taken
      }
      const found = drawFromLots({ lots, amount })
      const cost = draws.reduce((sum, each) => sum + each.cost, 0)
      ok(JSON.stringify(found.draws) === JSON.stringify(draws) && found.shortBy === left && found.cost === cost, {
        lots,
        amount,
        found,
        draws,
      })
    }),
    { numRuns: runs },
  )
}, 300_000)

test(
  'mixes, batch by batch',
  () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 3_000 }),
        fc.array(fc.integer({ min: 1, max: 20 }), { minLength: 1, maxLength: 4 }),
        fc.constantFrom(1, 0.75, 0.8),
        fc.array(fc.record({ ml: fc.integer({ min: 1, max: 400 }), after: fc.nat(900) }), { maxLength: 6 }),
        fc.integer({ min: 1, max: 1_500 }),
        (volume, parts, share, steps, potLifeMinutes) => {
          let minute = 0
          const coats = steps.map(({ ml, after }, index) => ({ ml, atMinute: (minute += index === 0 ? 0 : after) }))
          const found = mixBatch({
            volume,
            components: parts.map((own, index) => ({ name: `${index}`, parts: own })),
            yield: share,
            coats,
            potLifeMinutes,
          })
          const whole = parts.reduce((sum, own) => sum + own, 0)
          // what is mixed of the parts is the volume again
          ok(near(found.components.reduce((sum, { ml }) => sum + ml, 0) * share, volume), found)
          ok(
            found.components.every(({ ml }, index) => near(ml * share * whole, volume * (parts[index] ?? 0))),
            found,
          )
          const told: [number, number][] = []
          let from: number | null = null
          for (const { ml, atMinute } of coats) {
            if (from === null || atMinute > from + potLifeMinutes) {
              from = atMinute
              told.push([atMinute, 0])
            }
            const own = told[told.length - 1] as [number, number]
            own[1] += ml
          }
          ok(JSON.stringify(found.batches.map(({ atMinute, ml }) => [atMinute, ml])) === JSON.stringify(told), { found, told })
        },
      ),
      { numRuns: runs },
    ),
  300_000,
)

test('areas and volumes, face by face and coat by coat', () => {
  const mm = fc.integer({ min: 1, max: 3_000 })
  const face = fc.record({
    count: fc.integer({ min: 1, max: 9 }),
    relief: fc.constantFrom('flat' as const, 'framed' as const, 'moulded' as const, 'carved' as const),
    shape: fc.nat(4),
    a: mm,
    b: mm,
    c: mm,
  })
  const percent = { flat: 100, framed: 110, moulded: 125, carved: 150 }
  fc.assert(
    fc.property(fc.array(face, { maxLength: 6 }), (faces) => {
      let mm2 = 0
      const surfaces = faces.map(({ count, relief, shape, a, b, c }) => {
        // around it, times how long it is
        const around = [a, 4 * a, 2 * (a + b), Math.PI * a, Math.PI * a * 1.2][shape] as number
        const long = [b, b, c, b, b][shape] as number
        mm2 += (around * long * count * percent[relief]) / 100
        const common = { count, relief }
        return [
          { ...common, shape: 'panel' as const, width: a, height: b },
          { ...common, shape: 'squareLeg' as const, width: a, length: b },
          { ...common, shape: 'taperedLeg' as const, top: a, foot: b, length: c },
          { ...common, shape: 'roundLeg' as const, diameter: a, length: b },
          { ...common, shape: 'turnedLeg' as const, diameter: a, length: b },
        ][shape] as never
      })
      ok(near(surfaceArea({ surfaces }).area, mm2 / 1_000_000), surfaces)
    }),
    { numRuns: runs },
  )
  const films = { thin: 6, normal: 10, heavy: 20 } as const
  fc.assert(
    fc.property(
      fc.double({ min: 0.01, max: 30, noNaN: true }),
      fc.double({ min: 1, max: 40, noNaN: true }),
      fc.array(fc.constantFrom('thin' as const, 'normal' as const, 'heavy' as const), { minLength: 1, maxLength: 6 }),
      fc.integer({ min: 30, max: 100 }),
      fc.integer({ min: 0, max: 40 }),
      (area, coverage, coats, later, waste) => {
        const found = coatVolumes({ area, coverage, coats, laterTake: later / 100, waste: waste / 100 })
        let total = 0
        for (const [index, film] of coats.entries()) {
          const litres = ((area / coverage) * films[film] * (index === 0 ? 100 : later) * (100 + waste)) / 100_000
          total += litres * 1000
          ok(near(found.ml[index] ?? 0, litres * 1000), { found, litres })
        }
        ok(near(found.total, total), found)
      },
    ),
    { numRuns: runs },
  )
}, 300_000)

test(
  'what a log teaches, from its sums alone',
  () =>
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 5, max: 500 }), { maxLength: 60 }), (percents) => {
        const { p50, p80, count } = calibrate({ ratios: percents.map((percent) => percent / 100) })
        let [sum, squares] = [0, 0]
        for (const percent of percents) {
          const log = Math.log(percent) - Math.log(100)
          sum += log
          squares += log * log
        }
        const n = percents.length
        const mean = sum / (4 + n)
        // Σ(x − m)² = Σx² − 2mΣx + n·m²
        const spread = Math.sqrt((4 * 0.1225 + squares - 2 * mean * sum + n * mean * mean) / (4 + n))
        const close = (found: number, wanted: number) => Math.abs(found / wanted - 1) < 1e-9
        ok(count === n && close(p50, Math.exp(mean)) && close(p80, Math.exp(mean + 0.8416 * spread)), { p50, p80 })
      }),
      { numRuns: runs },
    ),
  300_000,
)
