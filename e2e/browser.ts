/** How Debian's Chromium is started where no network is reached and nothing may be asked of one. */
import type { LaunchOptions } from '@playwright/test'

export const launch: LaunchOptions = {
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
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
