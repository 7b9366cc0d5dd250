import { siteId } from './pages/finds'
import { api, expect, siteAddress, test } from './pages/signed-in'

interface SiteAnswer {
  pages: { id: string; title: string; path: string }[]
  installs: { pageId: string; widget: string; status: string }[]
}

test('a page that visitors see is removed only after that was said, and undone as it was', async ({
  signedIn: page,
  browser,
}) => {
  const id = await siteId(page, 'Skerrow Observatory')
  const site = await api<SiteAnswer>(page, 'GET', `/api/sites/${id}`)
  const seen = site.installs.find((install) => install.status === 'confirmed')!
  const { title } = site.pages.find((one) => one.id === seen.pageId)!
  const pages = page.getByRole('navigation', { name: 'Pages of this site' })

  await page.goto(`/sites/${id}?page=${seen.pageId}`)
  await page.getByRole('button', { name: /^Correct the path/ }).click()
  await page.getByRole('button', { name: 'Remove this page' }).click()
  const asked = page.getByRole('dialog', { name: `Remove the page ${title}?` })
  await expect(asked.getByText(`${seen.widget} on Skerrow Observatory, ${title}`)).toBeVisible()
  await expect(asked.getByRole('button', { name: 'Leave it there' })).toBeFocused()
  await page.keyboard.press('Enter')
  await expect(asked).toHaveCount(0)
  await page.getByRole('button', { name: 'Remove this page' }).click()
  await asked.getByRole('button', { name: 'Remove it all the same' }).click()
  await expect(page.getByText(`${title} is removed.`)).toBeVisible()
  await expect(pages.getByRole('link', { name: title })).toBeHidden()
  await expect(page.getByRole('dialog')).toHaveCount(0)

  const { path } = site.pages.find((one) => one.id === seen.pageId)!
  const asVisitor = async () => {
    const visitor = await (await browser.newContext()).newPage()
    await visitor.goto(siteAddress('observatory', path))
    return visitor
  }
  // What was pasted into the page is gone; what the site's tag brings to every page stays.
  await expect((await asVisitor()).locator('[data-pebblestrand]:not([data-pebblestrand-brought])')).toHaveCount(0)

  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByText(`${title} is back.`)).toBeVisible()
  await expect(page).toHaveURL(`/sites/${id}?page=${seen.pageId}`)
  await expect(pages.getByRole('link', { name: title })).toBeVisible()
  // Those of other pages may have been looked at meanwhile.
  const onThePage = ({ installs }: SiteAnswer) => installs.filter(({ pageId }) => pageId === seen.pageId)
  expect(onThePage(await api<SiteAnswer>(page, 'GET', `/api/sites/${id}`))).toEqual(onThePage(site))
  const again = (await asVisitor()).getByRole('region', { name: seen.widget })
  await expect(again.getByRole('listitem').first()).toBeVisible()
})

test('a widget that stands nowhere goes at once, and comes back from the list with its last change', async ({
  signedIn: page,
}) => {
  const { id } = await api<{ id: string }>(page, 'POST', '/api/widgets', { kind: 'headlines', name: 'Tide tables' })
  await page.goto(`/widgets/${id}`)
  await page.getByRole('spinbutton', { name: /How many/ }).focus()
  await page.keyboard.press('ArrowUp')
  await page.keyboard.press('ArrowUp')
  await page.getByRole('button', { name: 'Remove', exact: true }).click() // before the draft saved itself
  await expect(page).toHaveURL('/widgets')
  await expect(page.getByText('Tide tables is removed.')).toBeVisible()
  await expect(page.getByRole('link', { name: 'Tide tables' })).toHaveCount(0)

  await page.getByRole('link', { name: 'Removed lately' }).click()
  await page.getByRole('button', { name: 'Bring back widget Tide tables' }).click()
  await expect(page).toHaveURL(`/widgets/${id}`)
  await expect(page.locator('[data-setting=count]')).toHaveText(/\b7\b/)
  await api(page, 'POST', '/api/removals', { what: 'widget', id })
})

test('a plan is taken back as if it had never been', async ({ signedIn: page }) => {
  const id = await siteId(page, 'Brackenfold')
  const before = await api<SiteAnswer>(page, 'GET', `/api/sites/${id}`)
  await page.goto(`/sites/${id}`)
  const narrow = page.getByLabel('Widgets in the tray: only those with')
  await narrow.fill('Choir in')
  await narrow.press('Enter')
  await page.getByRole('button', { name: 'Choir in the papers', exact: true }).focus()
  await page.keyboard.press('m')
  await page.getByRole('menuitem', { name: /footer/ }).click()
  await expect(page.getByText('Choir in the papers is planned for footer.')).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('link', { name: /Choir in the papers/ })).toHaveCount(0)
  const after = await api<SiteAnswer>(page, 'GET', `/api/sites/${id}`)
  expect(after.installs).toEqual(before.installs)
})

test('what goes wrong in a sheet is said over it, and can be put away there', async ({ signedIn: page }) => {
  const { id } = await api<{ id: string }>(page, 'POST', '/api/sites', {
    client: 'Halse Chandlery',
    name: 'Halse Chandlery',
    origin: 'https://halse.example',
    platform: 'hand-coded',
  })
  await page.goto(`/sites/${id}`)
  await page.getByRole('button', { name: /^Correct the path/ }).click()
  await page.getByRole('button', { name: 'Remove this page' }).click()
  const told = page.getByRole('status').filter({ hasText: 'A site has one page at least.' })
  await expect(told).toBeVisible()
  expect(await told.evaluate((element) => element.closest('[inert], [aria-hidden=true]'))).toBeNull()
  await page.getByRole('button', { name: 'Put this message away' }).click()
  await expect(told).toBeHidden()
  await expect(page.getByRole('heading', { name: 'Correct the page' })).toBeVisible()
  await api(page, 'POST', '/api/removals', { what: 'site', id })
})
