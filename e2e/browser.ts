/** How Debian's Chromium is started where no network is reached and nothing may be asked of one; and what several journeys do. */
import { existsSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, type LaunchOptions, type Page } from '@playwright/test'

/** The session that the tests of one server go on in. */
export const sessionFile = join(tmpdir(), `itinerum-session-${new URL(process.env.ITINERUM_URL ?? 'http://none').port}.json`)

/** Without windows, where it is there: it asks a seventh less of the machine. */
const [whole, small] = ['/usr/bin/chromium', '/usr/bin/chromium-headless-shell']

export const launch: LaunchOptions = {
  executablePath: process.env.CHROMIUM ?? (existsSync(small) ? small : whole),
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
}
/** The whole browser: what it draws as people see it, and does while nobody looks. */
export const launchWhole: LaunchOptions = { ...launch, executablePath: process.env.CHROMIUM ?? whole }

/** Opens what a coat differed by: once the sheet takes taps, for it lets the second half of a double tap fall. */
export async function openDiffering(page: Page) {
  const sheet = page.getByRole('dialog')
  await expect(sheet).toBeVisible()
  await expect(sheet.locator('[role=group][aria-disabled]')).toHaveCount(0)
  await sheet.getByText('Something was different').click()
}
