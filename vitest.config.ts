import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url))
// what must not reach a browser may well reach a test
const alias = { '@': here('./src'), 'server-only': here('./node_modules/server-only/empty.js') }
/** Walks everything there is, or minute by minute: asked before something lands, not after every word. */
const slow = ['src/**/*.slow.test.ts']

export default defineConfig({
  test: {
    // long files share the processors
    maxWorkers: '100%',
    projects: [
      {
        resolve: { alias },
        // machines are shared: a test ends when it is done
        test: {
          testTimeout: 120_000,
          name: 'unit',
          // nothing is set up that a test could leave behind
          isolate: false,
          setupFiles: process.env.ITINERUM_QUICK ? ['src/core/testing/quick.ts'] : [],
          include: ['src/**/*.test.{ts,tsx}', 'sensor/**/*.test.ts', 'docs/**/*.test.ts'],
          exclude: ['src/db/**', ...slow],
        },
      },
      { resolve: { alias }, test: { testTimeout: 2_400_000, name: 'slow', isolate: false, include: slow } },
      {
        resolve: { alias },
        // every file has a database of its own
        test: {
          testTimeout: 60_000,
          name: 'database',
          include: ['src/db/**/*.test.ts'],
          // the demo is loaded, a cluster restored: long on a busy machine
          hookTimeout: 120_000,
          globalSetup: ['src/db/testing/cluster.ts'],
        },
      },
    ],
  },
})
