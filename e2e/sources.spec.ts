import { violations } from './pages/axe'
import { widgetId } from './pages/finds'
import { api, expect, siteAddress, test } from './pages/signed-in'
import { visitorsComeToSee } from './pages/visitor'

// Where reviews come from, as a person finds, connects, mends and types them; and what visitors see of it.

const voices = (path: string) => siteAddress('harbour-voices', path)
const trouble = (body: object) =>
  fetch(siteAddress('localhost', '/standins/voices').replace('localhost.localhost', 'localhost'), {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  })
test.afterEach(() => trouble({ outage: false }))

test('whatever is pasted leads to a candidate, or to what to paste instead', async ({ signedIn: page }) => {
  await page.goto(`/widgets/${await widgetId(page, 'Kind to animals')}`)
  await page.locator('[data-setting=sources]').click()
  const sources = page.getByRole('dialog')
  const field = sources.getByLabel('An address, a map’s code, an id, or a name to look for')
  const look = async (pasted: string) => {
    await field.fill(pasted)
    await sources.getByRole('button', { name: 'Look there' }).click()
  }
  const candidate = (name: string) => sources.getByRole('listitem').filter({ has: page.getByRole('heading', { name }) })
  for (const pasted of [
    voices('/places/lamp-room-orrin'),
    voices('/map?at=57.43,-8.185&zoom=15&place=hv6j0w8y1sq3cr'),
    voices('/find?q=lamp#pick=hv6j0w8y1sq3cr'),
    voices('/s/6j0w8'),
    `<iframe src="${voices('/map/embed?zoom=15&amp;place=hv6j0w8y1sq3cr')}"></iframe>`,
    'hv6j0w8y1sq3cr',
  ]) {
    await look(pasted)
    await expect(candidate('The Lamp Room'), pasted).toHaveCount(1)
    await expect(candidate('The Lamp Room')).toContainText('Wick Street 9, Orrin')
    await expect(candidate('The Lamp Room').getByRole('listitem')).toHaveCount(3)
    await field.fill('')
  }
  await look('lamp room')
  await expect(candidate('The Lamp Room')).toHaveCount(2)
  await look('Sel’s Boat Repairs')
  await expect(sources.getByRole('alert')).toContainText('a business without a street address is not found by its name')
  await expect(sources.getByRole('region', { name: 'What was tried' })).toContainText('no place')
  expect(await violations(page, '[role=dialog]')).toEqual([])
  await look(`<iframe src="${voices('/map/embed?place=hv1t5p7d4gk0bn')}"></iframe>`)
  await expect(candidate('Sel’s Boat Repairs')).toContainText('no street address')
})

test('an owner’s account is connected, runs out, and is connected again', async ({ signedIn: page }) => {
  await page.goto('/sources')
  await page.getByRole('link', { name: 'Skerrow Observatory' }).click()
  await expect(page.getByText('The service gives the newest 40 of 540.')).toBeVisible()
  const connect = async (button: string) => {
    await page.getByRole('button', { name: button }).click()
    await expect(page.getByRole('heading', { name: 'Pebblestrand asks to read' })).toBeVisible()
    await page.getByRole('button', { name: 'Let it read' }).click()
    await expect(page.getByText('by the account of Skerrow Isles Office')).toBeVisible()
  }
  await connect('Connect its owner’s account: Skerrow Observatory')
  await expect(page.getByText('place on the review service, 540 items')).toBeVisible()
  await trouble({ tokens: 'all gone' })
  await page.getByRole('button', { name: 'Read it now: Skerrow Observatory' }).click()
  await expect(page.getByText('Our leave to read this account has run out.')).toBeVisible()
  await page.goto('/today')
  await page.getByRole('complementary', { name: 'Lately' }).getByRole('link', { name: 'Skerrow Observatory' }).click()
  await connect('Connect it again: Skerrow Observatory')
  await expect(page.getByText('has run out')).toHaveCount(0)
  expect(await violations(page)).toEqual([])
})

test('a refusal at the service leaves everything as it was', async ({ signedIn: page }) => {
  await page.goto('/sources?q=Tarnside')
  // The practice is at two services by the same name.
  await page.getByRole('button', { name: 'Connect its owner’s account: Tarnside Vets, place on the review' }).click()
  await page.getByRole('button', { name: 'Do not' }).click()
  await expect(page.getByRole('heading', { name: 'It was not allowed' })).toBeVisible()
  await page.getByRole('link', { name: 'All sources' }).click()
  await expect(
    page.getByRole('listitem').filter({ hasText: /Tarnside Vets.*place on the review service/s }),
  ).toContainText('Connect its owner’s account')
})

const file = [
  'Who;Marks;Day;Said',
  'Ada;5;1.3.2026;Good scones',
  'Bo;seven;2.3.2026;Fine',
  'Cy;4;31.4.2026;Hm',
  'Di;;4.3.2026;',
  'Ed;3;5.3.2026;"Fine; really"',
].join('\n')

test('reviews are brought in from a file with faults, typed, corrected and taken back', async ({ signedIn: page }) => {
  await page.goto('/sources?new=reviews')
  await page.getByLabel('What they are called').fill('The visitors’ book')
  await page.getByRole('button', { name: 'Begin it' }).click()
  await expect(page.getByText('Type what stands on paper')).toBeVisible()

  await page.getByRole('button', { name: 'Bring in a file' }).click()
  const sheet = page.getByRole('dialog')
  await sheet
    .getByLabel('A CSV file, one review a row')
    .setInputFiles({ name: 'book.csv', mimeType: 'text/csv', buffer: Buffer.from(file) })
  await expect(sheet.getByRole('status')).toContainText(
    '5 rows in book.csv: 2 new, 0 changed, 0 as they are, 3 faulty.',
  )
  const faults = sheet.getByRole('region', { name: 'What is wrong in the file' }).getByRole('row')
  await expect(faults.nth(1)).toContainText('seven')
  await expect(faults.nth(2)).toContainText('31.4.2026')
  await expect(faults.nth(3)).toContainText('is empty, and so are the stars')
  expect(await violations(page, '[role=dialog]')).toEqual([])
  await expect(sheet.getByRole('button', { name: 'Keep 2 reviews' })).toBeDisabled()
  await sheet.getByLabel('Leave the 3 faulty rows out').check()
  await sheet.getByRole('button', { name: 'Keep 2 reviews' }).click()
  const rows = page.getByRole('row')
  await expect(rows).toHaveCount(3)

  await page.getByRole('button', { name: 'Type a review' }).click()
  await sheet.getByLabel('Stars').fill('9')
  await sheet.getByLabel('What was said').fill('The scones were small.')
  await sheet.getByRole('button', { name: 'Keep it' }).click()
  await expect(sheet.getByText('It may be 5 at most.')).toBeVisible()
  await sheet.getByLabel('Stars').fill('2')
  await sheet.getByLabel('Author').fill('Fay')
  await sheet.getByRole('button', { name: 'Keep it' }).click()
  await expect(rows).toHaveCount(4)
  await page.getByRole('button', { name: 'Take out: Fay' }).click()
  await expect(rows).toHaveCount(3)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(rows.filter({ hasText: 'The scones were small.' })).toHaveCount(1)
  await page.setViewportSize({ width: 390, height: 800 })
  const wide = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)
  expect(wide).toBeLessThanOrEqual(0)
})

test('a new review reaches the client’s page; while the service is down the page stays as it is', async ({
  signedIn: page,
  browser,
}) => {
  const at = siteAddress('tarnside-vets', '/emergencies')
  await page.goto(voices('/places/tarnside-vets/say'))
  await page.getByLabel('Your name').fill('Quill Marsden')
  await page.getByLabel('What you want to say').fill('They mended my goat.')
  await page.getByRole('button', { name: 'Say it' }).click()
  await expect(page.getByText('They mended my goat.')).toBeVisible()
  await page.goto('/sources')
  const { rows } = await api<{ rows: { id: string }[] }>(page, 'GET', '/api/sources?q=Tarnside&gives=review')
  await page.goto(`/sources/${rows[0]!.id}`)
  await page.getByRole('button', { name: 'Read it now: Tarnside Vets' }).click()
  await visitorsComeToSee(browser, at, (visitor) =>
    expect(visitor.getByRole('region', { name: 'Kind to animals' })).toContainText('They mended my goat.', {
      timeout: 5_000,
    }),
  )
  await trouble({ outage: true })
  await page.getByRole('button', { name: 'Read it now: Tarnside Vets' }).click()
  await expect(page.getByText('The service answers with error 503.')).toBeVisible()
  await page.goto('/today')
  const failing = page.getByRole('complementary', { name: 'Lately' }).getByRole('listitem')
  await expect(failing.filter({ hasText: 'Tarnside Vets' }).filter({ hasText: 'stays up' })).toHaveCount(1)
  await visitorsComeToSee(browser, at, async (visitor) => {
    const said = visitor.getByRole('region', { name: 'Kind to animals' })
    await expect(said).toContainText('They mended my goat.', { timeout: 5_000 })
    // Visitors call nobody but us: faces come from our own copies.
    const pictures = await said
      .locator('img')
      .evaluateAll((all) => all.map((one) => (one as HTMLImageElement).currentSrc))
    for (const src of pictures) expect(new URL(src).pathname).toMatch(/^\/i1\//)
  })
})
