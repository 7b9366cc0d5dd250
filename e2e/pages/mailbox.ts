import type { Page } from '@playwright/test'
import { siteAddress } from './signed-in'

interface Received {
  to: string
  subject: string
  text: string
}

/** Mails that have come in for an address, the newest first. Goes to the simulated mailbox with a page of its own. */
export async function mailsTo(page: Page, address: string): Promise<Received[]> {
  const visitor = await page.context().newPage()
  try {
    await visitor.goto(siteAddress('mailbox', `/mails.json?to=${encodeURIComponent(address)}`))
    return JSON.parse(await visitor.locator('body').innerText()) as Received[]
  } finally {
    await visitor.close()
  }
}

/** The private link in a mail. */
export const linkIn = ({ text }: Received): string => /https?:\/\/\S+\/(?:paste|take-out|kept)\/\S+/.exec(text)![0]
