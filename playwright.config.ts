import { defineConfig } from '@playwright/test'
import { launch, sessionFile } from './e2e/browser'

const once =
  /(api|commission|people|photos|security|doors|roles|lan|failover|client|awake|crash|keyboard|desk|offline|bench|lot|passkeys|sessions|push|letters)\.spec\.ts/
/** worked from the door to the record: on a phone they are asked last, see scripts/test.sh */
const jobs = /(finishes|jobs|wholeJobs)\.spec\.ts/
const phone = { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true }

/** Browser tests, against the server that `./itinerum test browser` starts with the demo studio. */
export default defineConfig({
  testDir: 'e2e',
  outputDir: 'test-results',
  globalSetup: './e2e/comeIn.ts',
  workers: 2,
  // asked once more on a busy machine; what passed only then is counted apart
  retries: 1,
  fullyParallel: false,
  // machines are shared: what is waited for comes when it comes, and what must be quick says so in its test
  timeout: 150_000,
  expect: { timeout: 20_000 },
  use: {
    baseURL: process.env.ITINERUM_URL,
    storageState: sessionFile,
    // what never comes is told, not waited for until the test ends
    actionTimeout: 40_000,
    launchOptions: launch,
    locale: 'en-GB',
    timezoneId: 'Europe/London',
    reducedMotion: 'reduce',
    // each test is a device that comes for the first time, and would keep the whole app first: who is without a connection asks for it
    serviceWorkers: 'block',
    screenshot: 'only-on-failure',
  },
  projects: [
    { name: 'desk', use: { viewport: { width: 1280, height: 800 } } },
    { name: 'phone', testIgnore: [once, jobs], use: phone },
    { name: 'phone-jobs', testMatch: jobs, grepInvert: /@desk/, use: phone },
  ],
})
