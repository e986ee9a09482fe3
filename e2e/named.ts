/** A test whose names are its own: no other project's, and not those that an earlier try at it left behind. */
import { test as plain } from '@playwright/test'

export const test = plain.extend<{ mark: string }>({
  // it asks for no other fixture
  mark: async ({}, use, { project, retry, repeatEachIndex }) =>
    use([project.name, retry || '', repeatEachIndex || ''].filter(Boolean).join('-')),
})
