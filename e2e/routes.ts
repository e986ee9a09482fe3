/** Every route of the build, as its address stands in the app: what is new is in it by itself. */
import { readFileSync } from 'node:fs'

export const routesOfBuild = (): string[] =>
  Object.keys(JSON.parse(readFileSync('.next/server/app-paths-manifest.json', 'utf8')) as Record<string, string>).map(
    (key) => key.replace(/\/\([^)]+\)/g, '').replace(/\/(page|route)$/, '') || '/',
  )
