// Makes the pictures of docs/screenshots from fresh demo data: `npm run shots`.
import { mkdirSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { chromium, type Page } from '@playwright/test'
import { buildWhatIsStale } from '../bin/launch/build.mjs'
import { readSettings, root } from '../bin/launch/settings.mjs'
import { settled } from '../bin/launch/settled.mjs'
import { startSystem } from '../bin/launch/system.mjs'
import { chromiumAt } from './pages/chromium'
import { installId, siteId, widgetId } from './pages/finds'

const settings = readSettings()
const own = { ...settings, data: join(settings.data, '..', '.pebblestrand-test', 'shots') }
const folder = join(root, 'docs', 'screenshots')

await buildWhatIsStale(console.log)
rmSync(own.data, { recursive: true, force: true })
mkdirSync(folder, { recursive: true })
const system = await startSystem(own, { durable: false })
await settled(system.databaseUrl)
const browser = await chromium.launch(chromiumAt(own.loopback))
const page = await browser.newPage({
  viewport: { width: 1280, height: 800 },
  baseURL: `http://localhost:${settings.port}`,
})

const take = async (name: string, before: (page: Page) => Promise<unknown> = async () => {}) => {
  await page.waitForLoadState('networkidle')
  await before(page)
  await page.waitForTimeout(500)
  await page.screenshot({ path: join(folder, `${name}.png`) })
}

try {
  await page.goto('/sign-in')
  await page.getByLabel('E-mail address').fill('mara@tern-and-tiller.example')
  await page.getByLabel('Password').fill('low-tide-42')
  await page.getByRole('button', { name: 'Sign in' }).click()
  await page.waitForURL('**/today')
  await take('today')
  await page.goto('/sites')
  await take('sites')
  await page.goto(`/sites/${await siteId(page, 'Gullhaven')}`)
  await take('page-plan', async () => {
    const chip = (await page
      .getByRole('listitem')
      .filter({ hasText: /^Island headlines$/ })
      .boundingBox())!
    const target = (await page.locator('[data-placement=footer]').boundingBox())!
    await page.mouse.move(chip.x + 20, chip.y + 10)
    await page.mouse.down()
    await page.mouse.move(chip.x + 40, chip.y - 30, { steps: 5 })
    await page.mouse.move(target.x + 300, target.y + 16, { steps: 8 })
  })
  await page.mouse.move(5, 400) // let go beside it: the picture plans nothing
  await page.mouse.up()
  // Copies of the walls' pictures are made one after the other.
  for (let tries = 0; tries < 25; tries++) {
    await page.goto('/widgets')
    await page.waitForTimeout(4000)
    if ((await page.locator('picture').count()) > 60) break
  }
  await take('widgets')
  await page.goto(`/widgets?new=1&site=${await siteId(page, 'Gullhaven')}`)
  await take('make-a-widget', (p) => p.waitForTimeout(4000))
  const bench = await widgetId(page, 'Post in brief')
  await page.goto(`/widgets/${bench}`)
  await take('workbench', (p) => p.locator('[data-setting=columns]').click())
  await page.goto(`/widgets/${await widgetId(page, 'Island headlines')}`)
  await page.locator('[data-setting=sources]').click()
  await page.getByLabel('Address of a page or a feed').fill(`http://skerrow-post.localhost:${settings.standinsPort}`)
  await page.getByRole('button', { name: 'Look there' }).click()
  await take('find-a-source', (p) => p.getByText('Winter concert: nine voices by candle light').waitFor())
  await page.goto(`/widgets/${await widgetId(page, 'Kind to animals')}`)
  await take('reviews', (p) => p.getByRole('button', { name: 'Who says it' }).click())
  await page.goto(`/widgets/${await widgetId(page, 'From the kiln')}`)
  await page.waitForTimeout(1500)
  await take('photo-wall')
  await page.goto(`/sites/${await siteId(page, 'Pollard')}/rehearsal?visitor=search-desk`)
  await take('rehearsal')
  await page.goto('/sources?q=shelf')
  await page.getByRole('link', { name: 'The knot museum’s shelf' }).click()
  await take('collection')
  await page.goto('/sources')
  await take('sources')
  await page.goto(`/widgets/${await widgetId(page, 'Ask for a table')}/answers`)
  await take('form-answers')
  await page.goto('/results/leads')
  await take('answers')
  await page.goto(`/installs/${await installId(page, 'finding=cached-copy')}`)
  await take('install')
  await page.goto('/installs')
  await take('installs')
  await page.emulateMedia({ colorScheme: 'dark' })
  await page.goto('/today')
  await take('today-dark')
  await page.emulateMedia({ colorScheme: 'light' })
  await page.goto('/platforms/cms-shortcodes')
  await take('platform')
  const { rows } = await page.evaluate(
    async () => (await (await fetch('/api/sheets')).json()) as { rows: { toName: string; address: string }[] },
  )
  await page.goto(rows.find(({ toName }) => toName === 'Isla Fearn')!.address)
  await take('paste-sheet')
} finally {
  await browser.close()
  await system.stop()
}
