import { expect, type Page } from '@playwright/test'
import { siteAddress } from './signed-in'

/** A simulated site's editing desk, used by its own screens. */
export class Desk {
  constructor(
    private readonly page: Page,
    private readonly host: string,
  ) {}

  async signIn(): Promise<void> {
    await this.page.goto(siteAddress(this.host, '/desk'))
    await this.page.getByLabel('Name').fill('editor')
    await this.page.getByLabel('Password').fill('island')
    await this.page.getByRole('button', { name: 'Sign in' }).click()
  }

  async open(title: string): Promise<void> {
    await this.page.goto(siteAddress(this.host, '/desk'))
    await this.page.getByRole('listitem').getByRole('link', { name: title, exact: true }).click()
  }

  box = (name: string | RegExp) => this.page.getByLabel(name)

  async press(name: string, saying: string): Promise<void> {
    await this.page.getByRole('button', { name, exact: true }).click()
    await expect(this.page.getByRole('status')).toHaveText(saying)
  }

  /** Puts texts into the boxes of a page, all others emptied, and publishes it, in one go. */
  async publish(path: string, boxes: Record<string, string>): Promise<void> {
    await this.post(`/desk/page?path=${encodeURIComponent(path)}`, { ...boxes, do: 'publish' })
  }

  /** Has the site forget the pages it keeps, whatever its desk calls that. */
  async forget(): Promise<void> {
    await this.post('/desk/cache', {})
  }

  /** What the site's owner has set at the desk. */
  async set(form: Record<string, string>): Promise<void> {
    await this.post('/desk/settings', form)
  }

  private async post(path: string, form: Record<string, string>): Promise<void> {
    const status = await this.page.evaluate(
      async ([address, fields]) => (await fetch(address, { method: 'POST', body: new URLSearchParams(fields) })).status,
      [path, form] as const,
    )
    expect(status).toBe(200)
  }

  async emptyCache(): Promise<void> {
    await this.page.goto(siteAddress(this.host, '/desk/cache'))
    await this.press('Empty page cache', 'The page cache is empty.')
  }
}
