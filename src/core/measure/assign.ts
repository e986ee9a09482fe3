/** Who takes what, so that all of it costs least: the Hungarian method. Pure; a square table of costs, its least sum. O(n³). */
export function assign(cost: readonly (readonly number[])[]): number {
  const n = cost.length
  // potentials of rows and columns; row 0 and column 0 stand for none
  const row = new Float64Array(n + 1)
  const column = new Float64Array(n + 1)
  const taken = new Int32Array(n + 1)
  for (let who = 1; who <= n; who += 1) {
    const least = new Float64Array(n + 1).fill(Infinity)
    const seen = new Uint8Array(n + 1)
    const before = new Int32Array(n + 1)
    taken[0] = who
    let at = 0
    do {
      seen[at] = 1
      const by = taken[at] ?? 0
      let [step, next] = [Infinity, 0]
      for (let k = 1; k <= n; k += 1) {
        if (seen[k]) continue
        const left = (cost[by - 1]?.[k - 1] ?? 0) - (row[by] ?? 0) - (column[k] ?? 0)
        if (left < (least[k] ?? 0)) {
          least[k] = left
          before[k] = at
        }
        if ((least[k] ?? 0) < step) [step, next] = [least[k] ?? 0, k]
      }
      for (let k = 0; k <= n; k += 1)
        if (seen[k]) {
          row[taken[k] ?? 0] = (row[taken[k] ?? 0] ?? 0) + step
          column[k] = (column[k] ?? 0) - step
        } else least[k] = (least[k] ?? 0) - step
      at = next
    } while (taken[at] !== 0)
    while (at !== 0) {
      const from = before[at] ?? 0
      taken[at] = taken[from] ?? 0
      at = from
    }
  }
  let sum = 0
  for (let k = 1; k <= n; k += 1) sum += cost[(taken[k] ?? 1) - 1]?.[k - 1] ?? 0
  return sum
}
