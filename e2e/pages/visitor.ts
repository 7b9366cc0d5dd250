import { expect, type Browser, type Page } from '@playwright/test'

/**
 * What a visitor comes to see who arrives after something was published: that reaches pages by way of the queue, and each
 * visitor asks once, so one after another looks until it is there.
 */
export async function visitorsComeToSee(browser: Browser, address: string, see: (page: Page) => Promise<void>) {
  await expect(async () => {
    const context = await browser.newContext()
    try {
      const page = await context.newPage()
      await page.goto(address)
      await see(page)
    } finally {
      await context.close()
    }
  }).toPass({ timeout: 20_000 })
}
