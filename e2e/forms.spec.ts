import type { Browser, BrowserContext, Page } from '@playwright/test'
import { parse } from 'csv-parse/sync'
import { violations } from './pages/axe'
import { siteId } from './pages/finds'
import { begin, publish } from './pages/live-widget'
import { mailsTo } from './pages/mailbox'
import { publishRelease } from './pages/publish'
import { withServedPage } from './pages/served-page'
import { api, expect, settings, test } from './pages/signed-in'

// Forms as visitors meet them on pages of other origins, and what becomes of what they write.

interface Standing {
  widgetId: string
  installId: string
  publicId: string
  inline: string
}

interface SiteAnswer {
  pages: { id: string; path: string }[]
  placements: { id: string; region: string }[]
}

/** A form published and planned at Brackenfold; it is served wherever the test wants it. */
async function formOn(page: Page, starter: string, name: string, change: object = {}): Promise<Standing> {
  const widgetId = await begin(page, 'form', starter, name)
  await publish(page, widgetId, change)
  const site = await api<SiteAnswer>(page, 'GET', `/api/sites/${await siteId(page, 'Brackenfold')}`)
  const { id } = await api<{ id: string }>(page, 'POST', '/api/installs', {
    widgetId,
    pageId: site.pages.find(({ path }) => path === '/table')!.id,
    placementId: site.placements.find(({ region }) => region === 'sidebar')!.id,
  })
  const { snippets, publicId } = await api<{ snippets: { inline: string }; publicId: string }>(
    page,
    'GET',
    `/api/installs/${id}`,
  )
  return { widgetId, installId: id, publicId, inline: snippets.inline }
}

const around = (inline: string, lang = 'en') =>
  `<!doctype html><html lang="${lang}"${lang === 'ar' ? ' dir="rtl"' : ''}><title>Their page</title><meta name="viewport" content="width=device-width"><body style="margin:12px;font-family:sans-serif;color:#222;background:#fff"><main><h1>Their page</h1>${inline}</main>`

/** Nobody reads and fills in a form in less than two seconds: the page's clock, which runs by itself, is put forward. */
const readInPeace = (page: Page) => page.clock.fastForward(2100)

const ready = (page: Page) =>
  expect(
    page.locator('[data-pebblestrand-release] form[aria-busy], [data-pebblestrand-release] form.fm').first(),
  ).toBeVisible()
const leadsOf = async (page: Page, { widgetId }: Standing, more = '') =>
  (
    await api<{ rows: { id: string; says: { label: string; says: string }[]; path: string }[]; total: number }>(
      page,
      'GET',
      `/api/leads?widgetId=${widgetId}${more}`,
    )
  ).rows

async function phone(
  browser: Browser,
  more: Parameters<Browser['newContext']>[0] = {},
): Promise<[BrowserContext, Page]> {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, ...more })
  const page = await context.newPage()
  if (more.javaScriptEnabled !== false) await page.clock.install()
  return [context, page]
}

/** What is typed and pressed at each starter, from its first field on: by keys alone. */
const byKeys: Record<string, { keys: string[]; thanks: string; says: string[] }> = {
  newsletter: {
    keys: ['isla@visitor.example', 'Tab', 'Isla', 'Tab', 'Space', 'Enter'],
    thanks: 'The next letter comes to you.',
    says: ['isla@visitor.example', 'Isla'],
  },
  'call-back': {
    keys: ['Bram Oake', 'Tab', '01632 960 001', 'Tab', 'ArrowDown', 'Tab', 'A bicycle', 'Tab', 'Enter'],
    thanks: 'We call you within one working day.',
    says: ['Bram Oake', '01632 960 001', 'In the afternoon', 'A bicycle'],
  },
  voucher: {
    keys: ['perrin@visitor.example', 'Tab', 'Space', 'Enter'],
    thanks: 'The code is on its way to you.',
    says: ['perrin@visitor.example'],
  },
  poll: { keys: ['ArrowDown', 'Enter'], thanks: 'This is how all have chosen so far:', says: ['Friday'] },
  feedback: {
    keys: ['ArrowRight', 'ArrowRight', 'ArrowRight', 'Tab', 'The soup', 'Tab', 'Tab', 'Enter'],
    thanks: 'Thank you for telling us.',
    says: ['4/5', 'The soup'],
  },
}

async function press(page: Page, keys: readonly string[]): Promise<void> {
  for (const key of keys)
    if (/^(Tab|Space|Enter|Arrow\w+)$/.test(key)) await page.keyboard.press(key)
    else await page.keyboard.type(key)
}

test('each starter, filled in by keys on a live page at the width of a phone, arrives', async ({
  signedIn: page,
  browser,
}) => {
  const [context, there] = await phone(browser)
  for (const [starter, { keys, thanks, says }] of Object.entries(byKeys)) {
    const form = await formOn(page, starter, `By keys: ${starter}`)
    await withServedPage({ host: 'keyed', html: around(form.inline) }, async (url) => {
      await there.goto(url)
      await ready(there)
      expect(await violations(there, '[data-pebblestrand]'), starter).toEqual([])
      expect(
        await there.evaluate(() => document.documentElement.scrollWidth - innerWidth),
        starter,
      ).toBeLessThanOrEqual(0)
      await there
        .locator('[data-pebblestrand] form [data-field]:not([hidden]) :is(input,textarea,select)')
        .first()
        .focus()
      await readInPeace(there)
      await press(there, keys)
      await expect(there.getByText(thanks), starter).toBeVisible()
      expect(await violations(there, '[data-pebblestrand]'), `${starter}, after`).toEqual([])
    })
    const [lead] = await leadsOf(page, form)
    expect(
      lead!.says.map(({ says }) => says),
      starter,
    ).toEqual(says)
  }
  await context.close()
})

test('in steps, with a way back, a field that hangs on another, and what is wrong said at its field', async ({
  signedIn: page,
  browser,
}) => {
  const form = await formOn(page, 'table', 'A table in steps')
  const [context, there] = await phone(browser)
  await withServedPage({ host: 'steps', html: around(form.inline) }, async (url) => {
    await there.goto(url)
    await ready(there)
    await expect(there.getByText('Step 1 of 2')).toBeVisible()
    await there.getByRole('button', { name: 'Go on' }).click()
    await expect(there.getByText('This is needed.').first()).toBeVisible()
    await expect(there.getByLabel('Day')).toBeFocused()
    await expect(there.getByLabel('Day')).toHaveAccessibleDescription(/This is needed/)
    expect(await violations(there, '[data-pebblestrand]')).toEqual([])
    // Mondays are left out, whatever the browser's own calendar offers.
    const monday = new Date(Date.now() + 7 * 86_400_000)
    while (monday.getUTCDay() !== 1) monday.setUTCDate(monday.getUTCDate() + 1)
    await there.getByLabel('Day').fill(monday.toISOString().slice(0, 10))
    await there.getByLabel('Hour').selectOption('13:00')
    await expect(there.getByText('Not on this day. Choose another.')).toBeVisible()
    monday.setUTCDate(monday.getUTCDate() + 1)
    await there.getByLabel('Day').fill(monday.toISOString().slice(0, 10))
    await there.getByLabel('Guests').fill('4')
    await expect(there.getByLabel('High chairs')).toBeHidden()
    await there.getByLabel('Children come along').check()
    await there.getByLabel('High chairs').fill('1')
    await there.getByRole('button', { name: 'Go on' }).click()
    await expect(there.getByText('Step 2 of 2')).toBeVisible()
    await expect(there.getByLabel('Your name')).toBeFocused()
    await there.getByRole('button', { name: 'Back' }).click()
    await expect(there.getByLabel('Guests')).toHaveValue('4')
    await there.getByRole('button', { name: 'Go on' }).click()
    await there.getByLabel('Your name').fill('Runa')
    await there.getByLabel('E-mail address').fill('runa@visitor')
    await readInPeace(there)
    await there.getByRole('button', { name: 'Ask for the table' }).click()
    await expect(there.getByText('We answer today.')).toBeVisible()
  })
  const [lead] = await leadsOf(page, form)
  const { says } = await api<{ says: { label: string; says: string }[] }>(page, 'GET', `/api/leads/${lead!.id}`)
  expect(Object.fromEntries(says.map((one) => [one.label, one.says]))).toMatchObject({
    'Your name': 'Runa',
    'E-mail address': 'runa@visitor',
    Guests: '4',
    'High chairs': '1',
  })
  await context.close()
})

test('nothing typed is lost: not by a reload, nor without a connection; pressed twice it is one', async ({
  signedIn: page,
  browser,
}) => {
  const form = await formOn(page, 'call-back', 'Through thick and thin')
  const [context, there] = await phone(browser)
  await withServedPage({ host: 'offline', html: around(form.inline) }, async (url) => {
    await there.goto(url)
    await ready(there)
    await there.getByLabel('Your name').fill('Maud')
    await there.getByLabel('What is it about?').fill('A long story')
    await there.reload()
    await ready(there)
    await expect(there.getByLabel('Your name')).toHaveValue('Maud')
    await expect(there.getByLabel('What is it about?')).toHaveValue('A long story')
    await there.getByLabel('Telephone number').fill('01632 960 002')
    await there.getByText('After five').click()
    await readInPeace(there)
    await context.setOffline(true)
    await there.getByRole('button', { name: 'Call me back' }).dblclick()
    await expect(there.getByText('There is no connection. What you wrote is kept here')).toBeVisible()
    await expect(there.getByLabel('Your name')).toHaveValue('Maud')
    expect(await leadsOf(page, form)).toHaveLength(0)
    await context.setOffline(false)
    await expect(there.getByText('We call you within one working day.')).toBeVisible()
  })
  expect(await leadsOf(page, form)).toHaveLength(1)
  await context.close()
})

test('without a script it is a plain form in a frame, with what is wrong at its field', async ({
  signedIn: page,
  browser,
}) => {
  const form = await formOn(page, 'call-back', 'Without a script')
  const [context, there] = await phone(browser, { javaScriptEnabled: false })
  const frame = `<iframe src="http://localhost:${settings.port}/f/${form.publicId}" title="A form" width="360" height="700" sandbox="allow-scripts allow-popups allow-forms"></iframe>`
  await withServedPage({ host: 'plain', html: around(frame) }, async (url) => {
    await there.goto(url)
    const inside = there.frameLocator('iframe')
    await inside.getByLabel('Your name').fill('No script')
    await inside.getByLabel('Telephone number').fill('call me')
    await inside.getByLabel('In the morning').check()
    await inside.getByRole('button', { name: 'Call me back' }).click()
    await expect(inside.getByText('This needs a telephone number with its area code.')).toBeVisible()
    await expect(inside.getByLabel('Your name')).toHaveValue('No script')
    await inside.getByLabel('Telephone number').fill('01632 960 003')
    await inside.getByRole('button', { name: 'Call me back' }).click()
    await expect(inside.getByText('We call you within one working day.')).toBeVisible()
  })
  expect(await leadsOf(page, form)).toHaveLength(1)
  await context.close()
})

test('on a page with a strict policy, from right to left, and under attack it works for it', async ({
  signedIn: page,
  browser,
}) => {
  const form = await formOn(page, 'feedback', 'Right to left', { locale: 'ar' })
  const ours = `http://localhost:${settings.port}`
  const headers = {
    'content-security-policy': `default-src 'none'; script-src ${ours}; connect-src ${ours}; style-src 'sha256-none'; font-src ${ours}; img-src ${ours}`,
  }
  // Twenty within a minute, from anywhere, and a form is under attack.
  for (let n = 0; n < 21; n++)
    await page.request.post(`${ours}/w1/${form.publicId}?r=1`, {
      headers: { accept: 'application/json' },
      form: { stars: '5', _key: `flood-of-many-${n}`, _took: '9000' },
    })
  const [context, there] = await phone(browser)
  const refused: string[] = []
  there.on(
    'console',
    (message) => message.type() === 'error' && !/style-src|428/.test(message.text()) && refused.push(message.text()),
  )
  await withServedPage({ host: 'strict', html: around(form.inline, 'ar'), headers }, async (url) => {
    await there.goto(url)
    await ready(there)
    expect(await there.locator('[data-pebblestrand] .w').evaluate((box) => getComputedStyle(box).direction)).toBe('rtl')
    expect(await violations(there, '[data-pebblestrand]')).toEqual([])
    await there.getByText('5 من 5', { exact: false }).first().locator('..').click()
    await readInPeace(there)
    await there.getByRole('button', { name: 'إرسال' }).click()
    await expect(there.getByText('Thank you for telling us.')).toBeVisible()
  })
  // What a page refuses is the worker alone; the sum is done in small pieces then.
  expect(refused.filter((text) => !/worker/i.test(text))).toEqual([])
  await context.close()
})

test('within a dialog over the page: once answered it never comes again', async ({ signedIn: page, browser }) => {
  const widgetId = await begin(page, 'centre-dialog', 'offer', 'Dialog with fields')
  const steps = [
    {
      title: '',
      fields: [
        {
          is: 'email',
          name: 'email',
          label: 'Where to?',
          required: true,
          help: '',
          width: 'whole',
          when: null,
          placeholder: '',
        },
      ],
    },
  ]
  await publish(page, widgetId, {
    fields: { steps },
    after: 'closes',
    afterSeconds: 4,
    buttons: [],
    triggers: [{ on: 'arrival' }],
  })
  const { id } = await api<{ id: string }>(page, 'POST', '/api/installs', {
    widgetId,
    pageId: (await api<SiteAnswer>(page, 'GET', `/api/sites/${await siteId(page, 'Brackenfold')}`)).pages.find(
      ({ path }) => path === '/table',
    )!.id,
    method: 'inline',
  })
  const { snippets } = await api<{ snippets: { inline: string } }>(page, 'GET', `/api/installs/${id}`)
  const context = await browser.newContext()
  const there = await context.newPage()
  await there.clock.install()
  await withServedPage({ host: 'dialogued', html: around(snippets.inline) }, async (url) => {
    await there.goto(url)
    const dialog = there.getByRole('dialog')
    await expect(dialog).toBeVisible()
    await dialog.getByLabel('Where to?').fill('a@visitor.example')
    await readInPeace(there)
    await dialog.getByRole('button', { name: 'Send' }).click()
    await expect(dialog.getByText('Thank you. It has arrived.')).toBeVisible()
    await expect(dialog).toBeHidden()
    await there.reload()
    await expect(there.locator('[data-pebblestrand-over-ready]')).toBeAttached()
    await there.clock.fastForward(5000)
    await expect(there.getByRole('dialog')).toBeHidden()
  })
  expect(await leadsOf(page, { widgetId, installId: id, publicId: '', inline: '' })).toHaveLength(1)
  await context.close()
})

test('what nobody types is sent along, and another page comes then', async ({ signedIn: page, browser }) => {
  const field = (more: object) => ({ help: '', required: false, width: 'whole', when: null, ...more })
  const steps = [
    {
      title: '',
      fields: [
        field({ is: 'short', name: 'town', label: 'Town', placeholder: '', least: 0, most: 80 }),
        { is: 'hidden', name: 'where', from: 'page', value: '' },
        { is: 'hidden', name: 'campaign', from: 'campaign', value: '' },
        { is: 'hidden', name: 'friend', from: 'parameter', value: 'friend' },
        { is: 'hidden', name: 'list', from: 'fixed', value: 'winter' },
      ],
    },
  ]
  const form = await formOn(page, 'newsletter', 'Sent along', {
    fields: { steps },
    after: 'page',
    afterPage: '/thanks',
  })
  const [context, there] = await phone(browser)
  await withServedPage({ host: 'along', html: around(form.inline), path: '/offer' }, async (url) => {
    await there.goto(`${url}?utm_campaign=autumn&friend=isla`)
    await ready(there)
    await there.getByLabel('Town').fill('Orrin')
    await readInPeace(there)
    await there.getByRole('button', { name: 'Sign me up' }).click()
    await expect(there).toHaveURL(/\/thanks$/)
    const [lead] = await leadsOf(page, form)
    expect(lead!.path).toBe('/offer')
    const { says } = await api<{ says: { label: string; says: string }[] }>(page, 'GET', `/api/leads/${lead!.id}`)
    expect(Object.fromEntries(says.map((one) => [one.label, one.says]))).toEqual({
      Town: 'Orrin',
      where: url,
      campaign: 'autumn',
      friend: 'isla',
      list: 'winter',
    })
  })
  await context.close()
})

test('put together in the workbench by keys, its reply worded, tried, and its answers read, saved and deleted', async ({
  signedIn: page,
}) => {
  const widgetId = await begin(page, 'form', 'newsletter', 'Letters, put together')
  await page.goto(`/widgets/${widgetId}`)
  await page.getByRole('button', { name: /^Fields:/ }).click()
  const sheet = page.getByRole('dialog', { name: 'What it asks for' })
  await sheet.getByLabel('Another field').selectOption('Short text')
  await sheet.getByRole('button', { name: 'Add it' }).click()
  await sheet.getByLabel('Words', { exact: true }).fill('Where do you live?')
  await expect(sheet.getByLabel('Known as')).toHaveValue('where-do-you-live')
  await sheet.getByRole('button', { name: /^Move Where do you live/ }).focus()
  for (let n = 0; n < 3; n++) await page.keyboard.press('ArrowUp')
  await expect(sheet.getByRole('listitem').first()).toContainText('Where do you live?')
  await sheet
    .getByRole('listitem')
    .nth(1)
    .getByRole('button', { name: /^Move/ })
    .dragTo(sheet.getByRole('listitem').nth(3))
  await expect(sheet.getByRole('listitem').nth(1)).not.toContainText('E-mail address')
  await sheet.getByRole('button', { name: /^Where do you live/ }).click()
  await sheet.getByLabel('Words', { exact: true }).fill('')
  await expect(sheet.getByText(/needs words/)).toBeVisible()
  await sheet.getByLabel('Words', { exact: true }).fill('Which isle?')
  expect(await violations(page, '[role=dialog]')).toEqual([])
  await page.keyboard.press('Escape')
  await publishRelease(page, 1)

  await page.getByRole('link', { name: 'What becomes of the answers' }).click()
  await page.getByLabel('They get a mail, where they gave an address').check()
  await page.getByLabel('Subject', { exact: true }).fill('Welcome')
  await page.getByLabel('Text', { exact: true }).fill('Hello from {weather}')
  await page.getByRole('button', { name: 'Keep this' }).click()
  await expect(page.getByText('has {weather}, which nothing fills')).toBeVisible()
  await page.getByLabel('Text', { exact: true }).fill('You wrote from {which-isle}.\n{form}')
  await expect(page.getByRole('figure')).toContainText('Letters, put together')
  await page.getByRole('button', { name: 'Keep this' }).click()
  await expect(page.getByText('It holds from now on.')).toBeVisible()
  expect(await violations(page)).toEqual([])
  await page.getByRole('button', { name: 'Send a test' }).click()
  await expect(page.getByText('It went the whole way')).toBeVisible()
  const subjects = (await mailsTo(page, 'mara@tern-and-tiller.example')).map(({ subject }) => subject)
  expect(subjects).toContain('Test: Welcome')
  await expect(page.getByText('0 new, 0 done')).toBeVisible()
})

test('answers are held back and let through, read whole, saved as a file, and deleted by request', async ({
  signedIn: page,
}) => {
  const form = await formOn(page, 'call-back', 'Held and let through')
  const send = (fields: Record<string, string>) =>
    page.request.post(`http://localhost:${settings.port}/w1/${form.publicId}?r=1`, {
      headers: { accept: 'application/json' },
      form: {
        telephone: '01632 960 004',
        when: 'morning',
        _took: '9000',
        _key: `key-${fields.name!.replace(/\W/g, '-')}-1`,
        ...fields,
      },
    })
  await send({ name: 'Somebody real', about: 'A "quoted", line' })
  await send({ name: 'Perhaps a robot', _website: 'https://pills.example' })
  await page.goto(`/results/leads?widgetId=${form.widgetId}`)
  await expect(page.getByRole('link', { name: /Somebody real/ })).toBeVisible()
  await expect(page.getByRole('link', { name: /Perhaps a robot/ })).toHaveCount(0)
  expect(await violations(page)).toEqual([])
  await page.getByLabel('State').selectOption('held back')
  await expect(page.getByText('A field that nobody sees was filled in.')).toBeVisible()
  await page.getByRole('button', { name: 'Let it through' }).click()
  await expect(page.getByText('It is let through')).toBeVisible()
  await page.getByLabel('State').selectOption('new and done')
  await expect(page.getByRole('link', { name: /Perhaps a robot/ })).toBeVisible()
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Save them as CSV' }).click(),
  ])
  const text = await (await import('node:fs/promises')).readFile((await download.path())!, 'utf8')
  const rows = parse(text, { columns: true }) as Record<string, string>[]
  expect(rows.map((row) => [row['answer:name'], row['answer:about']])).toEqual(
    expect.arrayContaining([
      ['Somebody real', 'A "quoted", line'],
      ['Perhaps a robot', ''],
    ]),
  )
  await page.getByRole('link', { name: /Somebody real/ }).click()
  await expect(page.getByRole('definition').filter({ hasText: 'A "quoted", line' })).toBeVisible()
  expect(await violations(page)).toEqual([])
  await page.getByRole('button', { name: 'Done' }).click()
  await expect(page.getByText('Marked as done.')).toBeVisible()

  const voucher = await formOn(page, 'voucher', 'To be deleted')
  await page.request.post(`http://localhost:${settings.port}/w1/${voucher.publicId}?r=1`, {
    headers: { accept: 'application/json' },
    form: { email: 'forget@visitor.example', consent: 'yes', _took: '9000', _key: 'to-be-forgotten-1' },
  })
  await page.goto('/results/leads')
  await page.getByRole('button', { name: 'Delete what is held of somebody' }).click()
  const sheet = page.getByRole('dialog')
  await sheet.getByLabel('Their mail address').fill('forget@visitor.example')
  await sheet.getByRole('button', { name: 'See what is held' }).click()
  await expect(sheet.getByText('1 answer', { exact: false })).toBeVisible()
  await sheet.getByRole('button', { name: 'Delete it for good' }).click()
  await expect(sheet.getByText('This is the receipt')).toBeVisible()
  expect(await violations(page, '[role=dialog]')).toEqual([])
  expect(await leadsOf(page, voucher)).toHaveLength(0)
})

test('a form that does not deliver is found by a check; the client reads what the agency passes on', async ({
  signedIn: page,
  browser,
}) => {
  await expect(async () => {
    const { rows } = await api<{ rows: { widget: string; finding: string }[] }>(
      page,
      'GET',
      '/api/installs?finding=form-not-delivering',
    )
    expect(rows.map(({ widget }) => widget)).toContain('Groups write to us')
  }).toPass({ timeout: 200_000 })
  const { rows } = await api<{ rows: { id: string }[] }>(page, 'GET', '/api/installs?finding=form-not-delivering')
  await page.goto(`/installs/${rows[0]!.id}`)
  await expect(page.getByRole('region', { name: 'Its form' }).getByText('The webhook is answered')).toBeVisible()
  await expect(page.getByText('Its form does not deliver.').first()).toBeVisible()

  const { id } = await api<{ id: string }>(page, 'POST', '/api/sheets', {
    purpose: 'kept',
    scope: 'site',
    id: await siteId(page, 'Brackenfold'),
    toName: 'Hollis',
  })
  const sheets = await api<{ rows: { id: string; address: string }[] }>(
    page,
    'GET',
    `/api/sheets?siteId=${await siteId(page, 'Brackenfold')}`,
  )
  const context = await browser.newContext()
  const there = await context.newPage()
  await there.goto(sheets.rows.find((row) => row.id === id)!.address)
  await expect(there.getByRole('heading', { name: 'What visitors wrote' })).toBeVisible()
  await expect(there.getByText('One of us cannot eat nuts.')).toBeVisible()
  await expect(there.getByText('Perhaps a robot')).toHaveCount(0)
  expect(await violations(there)).toEqual([])
  await context.close()
})
