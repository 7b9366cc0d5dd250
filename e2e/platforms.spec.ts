import { siteId } from './pages/finds'
import { api, expect, test } from './pages/signed-in'

test('a platform is copied, reworded, used by a site, and dropped again', async ({ signedIn: page }) => {
  await page.goto('/platforms')
  await page.getByRole('button', { name: 'Copy Blog host' }).click()
  await page.getByLabel('What you call it').fill('')
  await page.getByRole('button', { name: 'Copy it' }).click()
  await expect(page.getByText('It is missing.')).toBeVisible()
  await page.getByLabel('What you call it').fill('The keeper’s old blog')
  await page.getByRole('button', { name: 'Copy it' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('The keeper’s old blog')
  await page.getByLabel('Post, markup view, scripts').selectOption('keeps')
  await page.getByLabel('Post, markup view, who may use it').selectOption('the site’s owner alone')
  await page.getByLabel('Post, markup view, quotes').selectOption('typographic')
  await page.getByLabel('Publishing').selectOption('The whole site is published at once')
  await page.getByLabel('On the way from page to page').selectOption('Pages change without loading')
  await page.getByRole('button', { name: 'Add a cache' }).click()
  await page.getByLabel('Page cache, cleared').last().selectOption('by waiting')
  await page
    .getByLabel(/^Cache \d+, what it is called there$/)
    .last()
    .fill('The harbour’s copy')
  await page.getByLabel('Post, markup view, letters at most').fill('20')
  await page.getByLabel('Paste', { exact: true }).fill('Press the **anchor**, then paste into **{box}**.')
  await page.getByLabel('To publish there').fill('')
  await page.getByRole('button', { name: 'Keep these' }).click()
  await expect(page.getByText('It is missing.')).toBeVisible()
  await expect(page.getByRole('alert').filter({ hasText: '50' })).toBeVisible()
  await page.getByLabel('Post, markup view, letters at most').fill('')
  await page.getByLabel('To publish there').fill('ring the bell twice')
  await page.getByRole('button', { name: 'Keep these' }).click()
  await expect(page.getByText('What is pasted from now on follows it.')).toBeVisible()
  await page.reload()
  await expect(page.getByLabel('Post, markup view, who may use it')).toHaveValue('owners')
  await expect(page.getByLabel('Publishing')).toHaveValue('by site')
  await expect(page.getByLabel('The harbour’s copy, cleared')).toHaveValue('by waiting')

  await page.goto(`/sites/${await siteId(page, 'Keeper')}`)
  await page.getByRole('button', { name: 'Correct what is noted' }).click()
  await page.getByLabel('Built with').selectOption({ label: 'The keeper’s old blog' })
  await page.getByLabel('For whoever pastes there').fill('The keeper calls it the green box.')
  await page.getByRole('button', { name: 'Keep these' }).click()
  await expect(page.getByRole('link', { name: 'The keeper’s old blog' })).toBeVisible()
  const { rows } = await api<{ rows: { id: string }[] }>(
    page,
    'GET',
    `/api/installs?siteId=${await siteId(page, 'Keeper')}&region=main`,
  )
  await page.goto(`/installs/${rows[0]!.id}`)
  await expect(page.getByText('Press the anchor, then paste into')).toBeVisible()
  await expect(page.getByText('The keeper calls it the green box.')).toBeVisible()
  // The frame was advised as long as that box took scripts out; now the script is, and what was pasted stays as it is.
  await page.getByRole('button', { name: 'Why not another way?' }).click()
  await expect(page.getByText('keeps scripts, and so it keeps its own height')).toBeVisible()

  await page.goto('/platforms')
  await page.getByRole('link', { name: 'The keeper’s old blog' }).click()
  await page.getByRole('button', { name: 'Drop it' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Platforms')
  await expect(page.getByRole('link', { name: 'The keeper’s old blog' })).toHaveCount(0)
})
