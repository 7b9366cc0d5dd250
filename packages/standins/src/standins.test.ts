import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { FastifyInstance } from 'fastify'
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest'
import { standinsApp } from './app'
import { articles } from './news/articles'
import { sites } from './sites/list'
import { Store } from './state/store'

const folder = mkdtempSync(join(tmpdir(), 'standins-'))
const file = join(folder, 'state.json')
let app: FastifyInstance
let cookie = ''

const at = (host: string) => ({ host: `${host}.localhost:4700` })
const get = (host: string, url: string, headers: Record<string, string> = {}) =>
  app.inject({ url, headers: { ...at(host), ...headers } })
const post = (host: string, url: string, form: Record<string, string>, headers: Record<string, string> = {}) =>
  app.inject({
    method: 'POST',
    url,
    headers: { ...at(host), 'content-type': 'application/x-www-form-urlencoded', ...headers },
    payload: new URLSearchParams(form).toString(),
  })
const edit = (path: string, form: Record<string, string>, host = 'gullhaven') =>
  post(host, `/desk/page?path=${encodeURIComponent(path)}`, form, { cookie })

beforeAll(async () => {
  app = await standinsApp(new Store(file))
})
beforeEach(async () => {
  await app.inject({ method: 'POST', url: '/standins/reset', headers: at('standins') })
  const answer = await post('gullhaven', '/desk/sign-in', { name: 'editor', password: 'island', then: '/desk' })
  cookie = String(answer.headers['set-cookie']).split(';')[0]!
})
afterAll(async () => {
  await app.close()
  rmSync(folder, { recursive: true, force: true })
})

describe('a client site', () => {
  it.each(sites.map((s) => s.host))('%s serves every page, its style sheet and its picture', async (host) => {
    const site = sites.find((s) => s.host === host)!
    for (const page of site.pages) {
      const { statusCode, body } = await get(host, page.path)
      expect(statusCode).toBe(200)
      expect(body).toMatch(/<h[1-3]/)
      expect(body).toContain(site.name.replace('&', '&amp;'))
    }
    const style = (await get(host, '/style.css')).body
    for (const [, path] of style.matchAll(/url\("([^"]+)"\)/g))
      expect((await get(host, path!)).headers['content-type']).toBe('font/woff2')
    expect((await get(host, '/picture.svg')).headers['content-type']).toBe('image/svg+xml')
    expect((await get(host, '/nowhere')).statusCode).toBe(404)
  })
  it('is put together as no other is', async () => {
    // Elements around the regions with their names, words and fillings left out.
    const skeletons = await Promise.all(
      sites.map(async ({ host }) =>
        [...(await get(host, '/')).body.matchAll(/<(?:div|main|aside|section|table|td|header|footer)\b[^>]*>/g)].join(
          '',
        ),
      ),
    )
    expect(new Set(skeletons).size).toBe(sites.length)
  })
  it('has landmarks by hand, and classes in the CMS', async () => {
    expect((await get('gullhaven', '/')).body).toMatch(/<aside class="side">/)
    expect((await get('windle-knot', '/')).body).toMatch(/<div class="side widget-area sidebar">/)
  })
})

describe('the desk', () => {
  it('is closed to others', async () => {
    expect((await get('gullhaven', '/desk')).headers.location).toBe('/desk/sign-in?then=%2Fdesk')
    expect((await post('gullhaven', '/desk/sign-in', { name: 'editor', password: 'wrong' })).statusCode).toBe(401)
    expect((await post('gullhaven', '/desk/page?path=%2F', { do: 'publish' })).headers.location).toMatch(/sign-in/)
  })
  it('leads nowhere else after signing in', async () => {
    for (const then of ['https://evil.example/', '//evil.example', '/\\evil.example']) {
      expect(
        (await post('gullhaven', '/desk/sign-in', { name: 'editor', password: 'island', then })).headers.location,
      ).toBe('/desk')
    }
  })
  it('saves apart from publishing', async () => {
    await edit('/contact', { 'sidebar.code': '<b id="x">hi</b>', do: 'save' })
    expect((await get('gullhaven', '/contact?1')).body).not.toContain('id="x"')
    expect((await get('gullhaven', `/desk/page?path=%2Fcontact`, { cookie })).body).toContain(
      '&lt;b id=&quot;x&quot;&gt;hi&lt;/b&gt;',
    )
    await edit('/contact', { do: 'publish' })
    expect((await get('gullhaven', '/contact?2')).body).toMatch(/<aside class="side">\s*<b id="x">hi<\/b>/)
  })
  it('escapes in the visual box, keeps all in the code box, strips scripts in the safe one', async () => {
    const pasted = '<i>a</i><script>b</script>'
    await edit('/fares', { 'main.visual': pasted, 'main.code': pasted, do: 'publish' })
    const body = (await get('gullhaven', '/fares?x')).body
    expect(body).toContain('<p>&lt;i&gt;a&lt;/i&gt;&lt;script&gt;b&lt;/script&gt;</p>')
    expect(body).toContain(pasted)
    await edit('/learn', { 'main.filtered': pasted, do: 'publish' }, 'windle-knot')
    expect((await get('windle-knot', '/learn?x')).body).toMatch(/<i>a<\/i>\s*<\/main>/)
  })
  it('has what all pages share', async () => {
    await edit('*', { 'footer.code': '<u>everywhere</u>', do: 'publish' })
    expect((await get('gullhaven', '/fares?a')).body).toContain('<u>everywhere</u>')
    expect((await get('gullhaven', '/news?a')).body).toContain('<u>everywhere</u>')
  })
  it('signs out', async () => {
    await post('gullhaven', '/desk/sign-out', {}, { cookie })
    expect((await get('gullhaven', '/desk', { cookie })).statusCode).toBe(303)
  })
})

describe('the page cache', () => {
  it('keeps a page for its time, with honest headers, until it is emptied', async () => {
    const first = await get('gullhaven', '/fares')
    expect(first.headers).toMatchObject({
      'x-cache': 'miss',
      age: '0',
      'cache-control': 'public, max-age=0, s-maxage=21600',
    })
    await edit('/fares', { 'main.code': '<u>new</u>', do: 'publish' })
    const old = await get('gullhaven', '/fares')
    expect(old.headers['x-cache']).toBe('hit')
    expect(old.body).toBe(first.body)
    expect((await get('gullhaven', '/fares?past')).body).toContain('<u>new</u>')
    await post('gullhaven', '/desk/cache', {}, { cookie })
    expect((await get('gullhaven', '/fares')).body).toContain('<u>new</u>')
  })
  it('is passed by for those signed in, who see a bar', async () => {
    const { body, headers } = await get('gullhaven', '/fares', { cookie })
    expect(body).toContain('You are signed in.')
    expect(headers['cache-control']).toBe('private, no-store')
    expect((await get('gullhaven', '/fares')).body).not.toContain('You are signed in.')
  })
  it('does not exist on sites that keep no pages', async () =>
    expect((await get('brackenfold', '/')).headers).toMatchObject({
      'cache-control': 'no-cache',
      'last-modified': expect.any(String),
    }))
})

describe('trouble', () => {
  const trouble = (payload: object) =>
    app.inject({ method: 'POST', url: '/standins/trouble', headers: at('gullhaven'), payload })
  it('moves, breaks or walls a page, and is put right again', async () => {
    await trouble({ path: '/news', trouble: { kind: 'moved', to: '/contact' } })
    expect(await get('gullhaven', '/news')).toMatchObject({ statusCode: 301, headers: { location: '/contact' } })
    await trouble({ path: '/news', trouble: { kind: 'error', status: 503 } })
    expect((await get('gullhaven', '/news')).statusCode).toBe(503)
    await trouble({ path: '/news', trouble: { kind: 'wall' } })
    expect((await get('gullhaven', '/news')).headers.location).toMatch(/^\/desk\/sign-in/)
    await trouble({ path: '/news', trouble: { kind: 'policy', policy: "default-src 'self'" } })
    expect((await get('gullhaven', '/news')).headers['content-security-policy']).toBe("default-src 'self'")
    await trouble({ path: '/news', trouble: null })
    expect((await get('gullhaven', '/news')).statusCode).toBe(200)
  })
})

describe('state', () => {
  it('survives a restart, and half a file', async () => {
    await edit('/fares', { 'main.code': '<u>kept</u>', do: 'publish' })
    const again = await standinsApp(new Store(file))
    expect((await again.inject({ url: '/fares?again', headers: at('gullhaven') })).body).toContain('<u>kept</u>')
    await again.close()
    const broken = join(folder, 'broken.json')
    writeFileSync(broken, '{"pages":')
    const fresh = await standinsApp(new Store(broken))
    expect((await fresh.inject({ url: '/', headers: at('gullhaven') })).statusCode).toBe(200)
    await fresh.close()
  })
})

describe('the newspaper', () => {
  it('names its three feeds, each in another format, and answers conditional requests', async () => {
    const front = (await get('skerrow-post', '/')).body
    const named = [...front.matchAll(/<link rel="alternate" type="([^"]+)" title="[^"]+" href="([^"]+)"/g)].map(
      ([, type, href]) => [type, href],
    )
    expect(named).toEqual([
      ['application/rss+xml', '/feeds/news.xml'],
      ['application/atom+xml', '/feeds/harbour.atom'],
      ['application/feed+json', '/feeds/culture.json'],
    ])
    for (const [, href] of named) {
      const feed = await get('skerrow-post', href!)
      expect(feed.statusCode).toBe(200)
      expect((await get('skerrow-post', href!, { 'if-none-match': String(feed.headers.etag) })).statusCode).toBe(304)
    }
  })
  it('has a page and, where promised, a picture for every article but the one that was taken down', async () => {
    for (const article of articles) {
      if (article.gone) expect((await get('skerrow-post', `/${article.section}/${article.slug}`)).statusCode).toBe(404)
      else expect((await get('skerrow-post', `/${article.section}/${article.slug}`)).body).toContain('<h1>')
      if (article.picture) expect((await get('skerrow-post', `/pictures/${article.slug}.jpg`)).statusCode).toBe(200)
    }
  })
})

describe('a host nobody knows', () => {
  it('is told so', async () => expect((await get('atlantis', '/')).statusCode).toBe(404))
})

describe('platforms', () => {
  const published = async (host: string, path: string, boxes: Record<string, string>) => {
    await edit(path, { ...boxes, do: 'publish' }, host)
    return (await get(host, `${path}?${Math.random()}`)).body
  }
  it('each has a site, and each its own skeleton and desk', async () => {
    const known = new Map(sites.map(({ platform, host }) => [platform, host]))
    expect(known.size).toBe(9)
    const bodies = await Promise.all([...known.values()].map(async (host) => (await get(host, '/')).body))
    const skeleton = (html: string) =>
      html
        .slice(html.indexOf('<body>'))
        .match(/class="[^"]*"|id="[^"]*"/g)!
        .join()
    expect(new Set(bodies.map(skeleton)).size).toBe(9)
    const desks = await Promise.all(
      [...known.values()].map(
        async (host) => /<style>([\s\S]*?)<\/style>/.exec((await get(host, '/desk', { cookie })).body)![1],
      ),
    )
    expect(new Set(desks).size).toBe(9)
  })
  it('the modules’ site shows what is switched on', async () => {
    expect(await published('skerrow-library', '/hours', { 'sidebar.raw': '<u>seen</u>' })).toContain('<u>seen</u>')
    expect(
      await published('skerrow-library', '/hours', { 'sidebar.raw': '<u>seen</u>', 'sidebar.raw-shown': 'off' }),
    ).not.toContain('<u>seen</u>')
  })
  it('the canvas puts code into a sandboxed frame of the size that is drawn, and is sent out as a whole', async () => {
    await edit('/', { 'main.embed': '<u>code</u>', 'main.embed-height': '120', do: 'save' }, 'holm-bakery')
    expect((await get('holm-bakery', '/')).body).not.toContain('&lt;u&gt;code')
    await edit('/orders', { do: 'publish' }, 'holm-bakery')
    const { body } = await get('holm-bakery', '/')
    expect(body).toMatch(/<iframe[^>]*sandbox="allow-scripts allow-popups allow-forms"[^>]*height="120"/)
    expect(body).toContain('&lt;u&gt;code')
  })
  it('the stacked sections are online at once', async () => {
    await edit('/classes', { 'main.code': '<u>now</u>', do: 'save' }, 'marram-yoga')
    expect((await get('marram-yoga', '/classes')).body).toContain('<u>now</u>')
  })
  it('the blog’s posts lose their scripts when they are saved', async () =>
    expect(await published('keepers-log', '/storms', { 'main.post': '<u>x</u><script>y()</script>' })).toMatch(
      /<u>x<\/u>(?!<script)/,
    ))
  it('the panel’s script parts are off in the preview', async () => {
    await edit('/pitches', { 'main.script': '<u>part</u>', do: 'save' }, 'tangle-campsite')
    const [, preview] = /href="([^"]*preview=[^"]*)"/.exec(
      (await get('tangle-campsite', '/desk/page?path=%2Fpitches', { cookie })).body,
    )!
    expect((await get('tangle-campsite', preview!)).body).toContain('It works once the site is published')
    expect(await published('tangle-campsite', '/pitches', {})).toContain('<u>part</u>')
  })
  it('the shop’s policy lets in what its owner allows', async () => {
    const policy = async () => String((await get('net-loft', '/')).headers['content-security-policy'])
    expect((await get('net-loft', '/')).headers['permissions-policy']).toMatch(/fullscreen=\(self\)/)
    expect(await policy()).toContain("script-src 'self';")
    await post('net-loft', '/desk/settings', { allowed: 'https://strand.example javascript:x', other: '1' }, { cookie })
    expect(await policy()).toContain("script-src 'self' https://strand.example;")
    expect(await policy()).not.toContain('javascript')
  })
  it('the container shows its preview to those who are signed in only', async () => {
    const tags = async (headers = {}) => (await get('gullhaven-freight', '/container.js?id=1', headers)).body
    await edit('*', { 'head.tag': '<i>tag</i>', do: 'save' }, 'gullhaven-freight')
    expect(await tags({ cookie })).toContain('\\u003ci>tag')
    expect(await tags()).not.toContain('ci>tag')
    await edit('*', { do: 'publish' }, 'gullhaven-freight')
    expect(await tags()).toContain('\\u003ci>tag')
  })
  it('one page is right to left, one has 400 kB, and one site no landmarks at all', async () => {
    expect((await get('skerrow-library', '/far-shores')).body).toContain('<html lang="ar" dir="rtl">')
    expect((await get('skerrow-library', '/catalogue')).body.length).toBeGreaterThan(400_000)
    expect((await get('holm-bakery', '/')).body).not.toMatch(/<(?:main|header|footer|nav|aside)\b/)
  })
})
