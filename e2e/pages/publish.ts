import { expect, type Page } from '@playwright/test'

/** Publishes what is on the bench: what it changes is shown first, and is waited for. */
export async function publishRelease(page: Page, number?: number): Promise<void> {
  const name = number === undefined ? /Publish release/ : `Publish release ${number}`
  await page.getByRole('button', { name }).click()
  const sheet = page.getByRole('dialog')
  await expect(sheet.getByText(/will show it|Nobody sees it yet/)).toBeVisible()
  await sheet.getByRole('button', { name }).click()
  await expect(sheet).toHaveCount(0)
}
