import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url))

/** Every property by other chance, and far more often than `./itinerum test` does: `TIMES=10 npm run properties`. Half an hour, or longer. */
export default defineConfig({
  resolve: {
    alias: [
      { find: '@', replacement: here('./src') },
      { find: 'server-only', replacement: here('./node_modules/server-only/empty.js') },
      { find: /^fast-check$/, replacement: here('./scripts/often.ts') },
    ],
  },
  test: {
    testTimeout: 3_000_000,
    isolate: false,
    include: ['src/**/*.test.{ts,tsx}'],
    exclude: ['src/**/*.slow.test.ts', 'src/db/**'],
  },
})
