import { installId, siteId } from './pages/finds'
import { api, expect, test } from './pages/signed-in'

// What is done about findings on the install screen, and what a page plan says of widths.

test('a finding is put away with a reason and an end, and taken up again', async ({ signedIn: page }) => {
  await page.goto(`/installs/${await installId(page, 'finding=no-width')}`)
  const saw = page.getByRole('region', { name: 'What we saw' })
  await saw.getByRole('button', { name: 'Put it away: The frame has no fitting width.' }).click()
  const sheet = page.getByRole('dialog', { name: 'Put it away' })
  await expect(sheet.getByLabel('Why')).toBeFocused()
  await sheet.getByRole('button', { name: 'Put it away' }).click()
  await expect(sheet.getByText('It is missing.')).toBeVisible()
  await sheet.getByLabel('Why').fill('Their developer mends it next week')
  await page.keyboard.press('Enter')
  await expect(sheet).toHaveCount(0)
  await expect(saw.getByText('Confirmed, but for what was put away.')).toBeVisible()
  await expect(saw.getByText(/Put away by Mara Rask until .*: Their developer mends it next week/)).toBeVisible()
  await saw.getByRole('button', { name: 'Let it count again' }).click()
  await expect(saw.getByText('Confirmed, but for what was put away.')).toHaveCount(0)
  await expect(saw.getByRole('button', { name: 'Put it away: The frame has no fitting width.' })).toBeVisible()
})

test('what only editors see is told by the page’s preview address', async ({ signedIn: page }) => {
  await page.goto(`/installs/${await installId(page, 'finding=signed-in-only')}`)
  const saw = page.getByRole('region', { name: 'What we saw' })
  await expect(saw.getByRole('heading', { name: 'Only editors see it.' })).toBeVisible()
  await expect(saw.getByRole('link', { name: 'HTML at its preview address' })).toBeVisible()
  await page.goto(`/sites/${await siteId(page, 'Gullhaven')}`)
  await page.getByRole('link', { name: 'Contact' }).click()
  await page.getByRole('button', { name: 'Correct the path /contact' }).click()
  const sheet = page.getByRole('dialog', { name: 'Correct the page' })
  await expect(sheet.getByLabel('Preview address')).toHaveValue(/\/contact\?preview=/)
  await sheet.getByLabel('Preview address').fill('http://10.0.0.8/secret')
  await sheet.getByRole('button', { name: 'Correct it' }).click()
  await expect(sheet.getByText(/leads to a private network/).last()).toBeVisible()
})

test('a site that was read shows its first page, with its regions', async ({ signedIn: page }) => {
  const id = await siteId(page, 'Gullhaven')
  const reading = async () => (await api<{ reading: object | null }>(page, 'GET', `/api/sites/${id}`)).reading
  await expect.poll(reading, { timeout: 150_000, intervals: [1000] }).not.toBeNull()
  await page.goto(`/sites/${id}`)
  await expect(page.getByText(/Its first page, read/)).toBeVisible()
  const picture = page.getByRole('img', { name: /The first page of .* in a wide window/ })
  await picture.scrollIntoViewIfNeeded()
  await expect.poll(() => picture.evaluate((img: HTMLImageElement) => img.naturalWidth)).toBe(1280)
})
