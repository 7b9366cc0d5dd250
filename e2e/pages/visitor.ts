import { request, type IncomingHttpHeaders } from 'node:http'
import { expect, type Browser, type Page } from '@playwright/test'
import './local-names'

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
  }).toPass({ timeout: 150_000 })
}

/** A page of a simulated site as anybody gets it, without a browser. */
export const fetchPage = (address: string): Promise<{ html: string; headers: IncomingHttpHeaders }> =>
  new Promise((resolve, reject) => {
    request(address, (answer) => {
      let html = ''
      answer.setEncoding('utf8').on('data', (piece: string) => (html += piece))
      answer.on('end', () => resolve({ html, headers: answer.headers }))
    })
      .on('error', reject)
      .end()
  })
