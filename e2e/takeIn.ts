/** A piece taken in, one square metre of one part, its plan desk open. */
import { expect, type Page } from '@playwright/test'

/** Takes a piece in with one part and opens its plan desk. */
export async function takeIn(page: Page, name: string, facts: { madeOf: string; onIt?: string; lives?: string; lead?: string }) {
  await page.goto('/pieces/new')
  await page.getByLabel('What it is').fill(name)
  await page.getByLabel('Called').fill('Body')
  await page.getByLabel('Made of').selectOption({ label: facts.madeOf })
  if (facts.onIt) await page.getByLabel('On it now').selectOption({ label: facts.onIt })
  if (facts.lives) await page.getByLabel('Where it will live').selectOption({ label: facts.lives })
  await page.getByLabel('Lead', { exact: true }).selectOption({ label: facts.lead ?? 'finish surely younger than 1980' })
  await page.getByLabel('Width').fill('100')
  await page.getByLabel('Height').fill('100')
  await page.getByRole('button', { name: 'Take it in' }).click()
  await expect(page.getByRole('heading', { level: 1, name })).toBeVisible()
  await page.getByRole('link', { name: 'Choose a finish' }).first().click()
  await expect(page.getByRole('heading', { name: 'The way there' })).toBeVisible()
}
