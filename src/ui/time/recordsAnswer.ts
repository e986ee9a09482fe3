/** Whether the server is there and reaches its records. */
const patienceMs = 4_000

export const recordsAnswer = (): Promise<boolean> =>
  fetch('/api/health', { cache: 'no-store', signal: AbortSignal.timeout(patienceMs) }).then(
    ({ ok }) => ok,
    () => false,
  )
