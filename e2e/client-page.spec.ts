import { api, expect, settings, siteAddress, test } from './pages/signed-in'
import { installId } from './pages/finds'
import { violations } from './pages/axe'
import { Desk } from './pages/desk'
import { withServedPage } from './pages/served-page'

// What a visitor of a client site gets: nothing moves, nothing is left behind, and if we fail the page does not notice.

const home = siteAddress('gullhaven')

test('one global, no cookies, no storage, one request for the payload', async ({ page, context }) => {
  const asked: string[] = []
  page.on('request', (request) => asked.push(new URL(request.url()).pathname))
  await page.goto(siteAddress('brackenfold', '/club'))
  const before = new Set(await page.evaluate(() => Object.getOwnPropertyNames(window)))
  expect(before.has('pebblestrand')).toBe(true)
  await page.goto(siteAddress('brackenfold', '/nowhere'))
  const bare = new Set(await page.evaluate(() => Object.getOwnPropertyNames(window)))
  expect([...before].filter((name) => !bare.has(name))).toEqual(['pebblestrand'])
  expect(await context.cookies()).toEqual([])
  expect(await page.evaluate(() => localStorage.length + sessionStorage.length)).toBe(0)
  const payloads = asked.filter((path) => path.startsWith('/p2/'))
  expect(payloads.length).toBe(new Set(payloads).size)
})

test('no layout shift while it loads', async ({ page }) => {
  await page.addInitScript(() => {
    const shifts: number[] = []
    ;(window as unknown as { shifts: number[] }).shifts = shifts
    new PerformanceObserver((list) =>
      list.getEntries().forEach((e) => shifts.push((e as unknown as { value: number }).value)),
    ).observe({ type: 'layout-shift', buffered: true })
  })
  await page.goto(home)
  await expect(page.getByRole('main').getByRole('listitem').first()).toBeVisible()
  await page.waitForLoadState('networkidle')
  const total = await page.evaluate(() =>
    (window as unknown as { shifts: number[] }).shifts.reduce((sum, s) => sum + s, 0),
  )
  expect(total).toBeLessThan(0.05)
})

test("the site's own style does not get in, ours does not get out", async ({ page }) => {
  await page.goto(home)
  const widget = page.getByRole('complementary').getByRole('listitem').first()
  await expect(widget).toBeVisible()
  await page.addStyleTag({ content: 'ul{display:none!important} li{color:red!important} h3{font-size:99px!important}' })
  await expect(widget).toBeVisible()
  await expect(widget.getByRole('heading')).toHaveCSS('font-size', '16px')
  expect(
    await page
      .locator('head style')
      .evaluateAll((styles) => styles.filter((s) => s.textContent?.includes('container')).length),
  ).toBe(0)
})

test('when we fail, the link stays and the page does not notice', async ({ page }) => {
  const errors: string[] = []
  page.on('pageerror', (error) => errors.push(error.message))
  await page.route('**/p2/*.json', (route) => route.fulfill({ status: 500, body: 'no' }))
  await page.goto(home)
  await expect(page.getByRole('complementary').getByRole('link', { name: 'Harbour news' })).toBeVisible()
  await page.route('**/strand.js', (route) => route.abort())
  await page.reload()
  await expect(page.getByRole('complementary').getByRole('link', { name: 'Harbour news' })).toBeVisible()
  expect(errors).toEqual([])
})

test('the link and the frame work without scripts', async ({ browser }) => {
  const page = await (await browser.newContext({ javaScriptEnabled: false })).newPage()
  await page.goto(home)
  await page.getByRole('complementary').getByRole('link', { name: 'Harbour news' }).click()
  await expect(page.getByRole('link', { name: 'Second ramp opens at Gullhaven pier' })).toBeVisible()
  await page.context().close()
})

test('a retired widget takes itself away', async ({ signedIn: page, browser }) => {
  const id = await installId(page, 'q=Harbour+news&status=confirmed&siteId=&sort=site')
  const { url, snippets } = await api<{ url: string; snippets: { inline: string } }>(page, 'GET', `/api/installs/${id}`)
  const publicId = /data-pebblestrand="([^"]+)"/.exec(snippets.inline)![1]!
  const visitor = await (await browser.newContext()).newPage()
  await visitor.route(`**/p2/${publicId}.json`, (route) =>
    route.fulfill({ status: 410, headers: { 'access-control-allow-origin': '*' }, body: '{}' }),
  )
  await visitor.goto(url)
  await expect(visitor.locator(`[data-pebblestrand="${publicId}"]`)).toHaveCount(0)
  await visitor.context().close()
})

test('the editor’s bar is for those signed in only, and the desk looks like nobody else', async ({ page }) => {
  const desk = new Desk(page, 'gullhaven')
  await desk.signIn()
  await page.goto(home)
  await expect(page.getByText('You are signed in.')).toBeVisible()
  await page.context().clearCookies()
  await page.reload()
  await expect(page.getByText('You are signed in.')).toHaveCount(0)
})

test('a frame is as high as what is in it where our script is, and only by the word of that frame', async ({
  signedIn: page,
  browser,
}) => {
  const id = await installId(page, 'q=Harbour+news&status=confirmed&siteId=&sort=site')
  await api(page, 'PATCH', `/api/installs/${id}`, { snippetOptions: { grows: true } })
  const { snippets } = await api<{ snippets: { frame: string } }>(page, 'GET', `/api/installs/${id}`)
  await api(page, 'PATCH', `/api/installs/${id}`, { snippetOptions: {} })
  const visitor = await (await browser.newContext()).newPage()
  const low = snippets.frame.replace(/ height="\d+"/, ' height="60"')
  const liar = `<iframe id="liar" title="Liar" width="200" height="70" srcdoc="&lt;script&gt;setInterval(() =&gt; parent.postMessage({ pebblestrandHeight: 900 }, '*'), 50)&lt;/script&gt;"></iframe>`
  const without = low.replace(/<script[\s\S]*/, '')
  const heightOf = (title: string) => visitor.getByTitle(title).evaluate((element) => element.clientHeight)
  await withServedPage({ host: 'grows', html: `<!doctype html><title>Grows</title>${low}${liar}` }, async (url) => {
    await visitor.goto(url)
    const inside = visitor.frameLocator('iframe[title="Harbour news"]').locator('#widget')
    await expect(inside).toBeVisible()
    const needed = () => inside.evaluate(() => Math.ceil(document.documentElement.getBoundingClientRect().height))
    await expect.poll(async () => (await heightOf('Harbour news')) - (await needed())).toBe(0)
    expect(await heightOf('Harbour news')).toBeGreaterThan(100)
    // Narrower it breaks into more lines, and the frame follows.
    const before = await heightOf('Harbour news')
    await visitor.getByTitle('Harbour news').evaluate((element) => (element.style.width = '140px'))
    await expect.poll(() => heightOf('Harbour news')).toBeGreaterThan(before)
    expect(await heightOf('Liar')).toBe(70)
  })
  await withServedPage({ host: 'grows', html: `<!doctype html><title>Fixed</title>${without}` }, async (url) => {
    await visitor.goto(url)
    await expect(visitor.frameLocator('iframe').locator('#widget')).toBeVisible()
    expect(await heightOf('Harbour news')).toBe(60)
  })
  await visitor.context().close()
})

test('a widget opens over the page from a link, a button or anything else, by keyboard too, and closes again', async ({
  signedIn: page,
  browser,
}) => {
  const id = await installId(page, 'q=Harbour+news&status=confirmed&siteId=&sort=site')
  const textOf = async (opens: object) => {
    await api(page, 'PATCH', `/api/installs/${id}`, { snippetOptions: { opens } })
    const { snippets } = await api<{ snippets: { opener: string } }>(page, 'GET', `/api/installs/${id}`)
    return snippets.opener
  }
  const link = await textOf({ by: 'link', words: 'From the harbour' })
  const marked = (await textOf({ by: 'attribute', words: 'Something there already' })).replace(/<script[\s\S]*/, '')
  await api(page, 'PATCH', `/api/installs/${id}`, { snippetOptions: {} })
  const visitor = await (await browser.newContext()).newPage()
  const html = `<!doctype html><html lang="en"><title>Opens</title><body style="background:#102030;color:#fff"><main><h1>Opens</h1><p>${link}</p><p>${marked}</p></main>`
  await withServedPage({ host: 'opens', html: html.replace('<a ', '<a style="color:#fff" ') }, async (url) => {
    await visitor.goto(url)
    const opener = visitor.getByRole('link', { name: 'From the harbour' })
    await expect(opener).toHaveAttribute('aria-haspopup', 'dialog')
    await opener.focus()
    await visitor.keyboard.press('Enter')
    const dialog = visitor.getByRole('dialog', { name: 'Harbour news' })
    await expect(dialog.getByRole('link', { name: 'Second ramp opens at Gullhaven pier' })).toBeVisible()
    await expect(dialog).toHaveCSS('background-color', 'rgb(16, 32, 48)')
    expect(await violations(visitor)).toEqual([])
    await visitor.keyboard.press('Escape')
    await expect(dialog).toBeHidden()
    await expect(opener).toBeFocused()
    await opener.click()
    await dialog.getByRole('button', { name: 'Close' }).click()
    await expect(dialog).toBeHidden()
    await opener.click()
    await expect(dialog).toBeVisible()
    await visitor.mouse.click(3, 3)
    await expect(dialog).toBeHidden()
    expect(visitor.url()).toBe(url)

    const other = visitor.getByRole('button', { name: 'Something there already' })
    await other.focus()
    await visitor.keyboard.press(' ')
    await expect(visitor.getByRole('dialog', { name: 'Harbour news' })).toBeVisible()
    await visitor.keyboard.press('Escape')
    await expect(other).toBeFocused()

    // Where its content does not come, the link leads to the widget's own page.
    await visitor.route('**/p2/*.json', (route) => route.fulfill({ status: 500, body: 'no' }))
    await visitor.reload()
    await opener.click()
    await expect(visitor).toHaveURL(/\/v\//)
  })
  await visitor.context().close()
})

test('a strict style policy stops nothing of the widget', async ({ signedIn: page, browser }) => {
  const id = await installId(page, 'q=Harbour+news&status=confirmed&siteId=&sort=site')
  const { snippets } = await api<{ snippets: { inline: string } }>(page, 'GET', `/api/installs/${id}`)
  const visitor = await (await browser.newContext()).newPage()
  const violations: string[] = []
  visitor.on('console', (message) => /style-src|trusted/i.test(message.text()) && violations.push(message.text()))
  const own = `http://localhost:${settings.port}`
  const strict = {
    host: 'strict',
    headers: {
      'content-security-policy': `default-src 'none'; script-src ${own}; connect-src ${own}; font-src ${own}; img-src http:; require-trusted-types-for 'script'`,
    },
    // Its reserved height is an inline style, which such a policy stops; the widget itself has none. An id of the page becomes a
    // global of the same name in every browser: it is not taken for our own.
    html: `<!doctype html><title>Strict</title><aside id="pebblestrand">${snippets.inline.replace(/ style="[^"]*"/, '')}</aside>`,
  }
  await withServedPage(strict, async (url) => {
    await visitor.goto(url)
    const list = visitor.getByRole('complementary').getByRole('list')
    await expect(list).toHaveCSS('display', 'grid')
    await expect(list.getByRole('listitem').first().getByRole('heading')).toHaveCSS('font-size', '16px')
  })
  expect(violations).toEqual([])
  await visitor.context().close()
})
