import { test as base, expect, type BrowserContext, type Page } from '@playwright/test'
import './local-names'
import startCopy from '../start-copy'
import { settings } from './settings'

export { settings }
export const siteAddress = (host: string, path = '/') => `http://${host}.localhost:${settings.standinsPort}${path}`

export async function signIn(page: Page): Promise<void> {
  await page.goto('/sign-in')
  await page.getByLabel('E-mail address').fill('mara@tern-and-tiller.example')
  await page.getByLabel('Password').fill('low-tide-42')
  await page.getByRole('button', { name: 'Sign in' }).click()
  // Passwords are hashed at their real cost, on a machine that has just started all there is.
  await expect(page).toHaveURL(/\/today$/)
}

/** Calls the server as the signed-in person does; gives the parsed answer. */
export async function api<T>(page: Page, method: string, path: string, body?: unknown): Promise<T> {
  return page.evaluate(
    async ([m, p, b]) => {
      const { csrf } = await (await fetch('/api/session')).json()
      const answer = await fetch(p as string, {
        method: m as string,
        headers: { 'content-type': 'application/json', 'x-csrf-token': csrf },
        body: b === undefined ? undefined : JSON.stringify(b),
      })
      return answer.json()
    },
    [method, path, body] as const,
  ) as Promise<T>
}

/** Opens Today and waits until it is there, and listens to keys. */
export async function openToday(page: Page): Promise<void> {
  await page.goto('/today')
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
}

/** One session for all tests; the story and the screens' tests sign in by the form themselves. */
let session: Awaited<ReturnType<BrowserContext['cookies']>> | null = null

async function resume(page: Page): Promise<void> {
  if (session) {
    await page.context().addCookies(session)
    // Any page of ours, for what a test asks of the server before it opens a screen; a screen takes a second.
    await page.goto('/api/health')
    return
  }
  await signIn(page)
  session = await page.context().cookies()
}

/** Every test begins signed in, and ends with no error on the page's console. */
export const test = base.extend<{ signedIn: Page }, { system: void }>({
  // A worker's own system, from its first test to its last.
  system: [
    // Playwright reads from this pattern what a fixture builds on: nothing.
    // eslint-disable-next-line no-empty-pattern
    async ({}, use) => {
      const stop = await startCopy()
      await use()
      await stop()
    },
    { scope: 'worker', auto: true, timeout: 150_000 },
  ],
  baseURL: `http://localhost:${settings.port}`,

  signedIn: async ({ page }, use) => {
    const errors: string[] = []
    page.on('pageerror', (error) => errors.push(error.message))
    await resume(page)
    await use(page)
    expect(errors).toEqual([])
  },
})
export { expect }
