import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

const alias = { '@': fileURLToPath(new URL('./src', import.meta.url)) }

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
          include: ['src/**/*.test.ts', 'sensor/**/*.test.ts'],
          exclude: ['src/db/**'],
        },
      },
      {
        resolve: { alias },
        test: {
          name: 'database',
          include: ['src/db/**/*.test.ts'],
          globalSetup: ['src/db/testing/cluster.ts'],
          fileParallelism: false,
        },
      },
    ],
  },
})
