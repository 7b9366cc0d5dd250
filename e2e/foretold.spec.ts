import { readFileSync, writeFileSync } from 'node:fs'
import type { Page } from '@playwright/test'
import type { SiteList } from '@pebblestrand/core/artefacts'
import { endings, type Ending, type MethodId } from '@pebblestrand/core/methods'
import {
  profileList,
  profiles,
  regionIds,
  type EditorBox,
  type PlatformProfile,
  type Region,
} from '@pebblestrand/core/platforms'
import { Plan, verify, type Look } from '@pebblestrand/core/verify'
import { pathTo } from '@pebblestrand/core/wire'
import { Desk } from './pages/desk'
import { foretold, seenBy } from './pages/foretold'
import { api, expect, settings, siteAddress, test } from './pages/signed-in'
import { begin, publish } from './pages/live-widget'
import { siteId } from './pages/finds'
import { fetchPage } from './pages/visitor'

// Every method, pasted by its text into every box of every region of every platform's editor, published, and seen by a visitor in
// Chromium: what comes of it is what was foretold. The table of it is kept in docs/foretold-and-seen.md.

/** A page of a simulated site on each platform, and what its regions are found by. */
const places: Record<string, { site: string; host: string; path: string; main: string; sidebar: string }> = {
  'hand-coded': { site: 'Ninefold', host: 'ninefold-choir', path: '/thanks', main: 'main', sidebar: 'aside' },
  'cms-shortcodes': { site: 'Orrin', host: 'orrin-kiln', path: '/thanks', main: '#content', sidebar: '.widget-area' },
  'cms-modules': {
    site: 'Skerrow Library',
    host: 'skerrow-library',
    path: '/thanks',
    main: '.item-page',
    sidebar: '.pos-right',
  },
  'canvas-builder': { site: 'Holm', host: 'holm-bakery', path: '/thanks', main: '.canvas-c2', sidebar: '.canvas-c3' },
  'section-builder': {
    site: 'Marram',
    host: 'marram-yoga',
    path: '/thanks',
    main: '[data-section=text] .section-columns > div',
    sidebar: '.narrow',
  },
  'blog-host': { site: 'Keeper', host: 'keepers-log', path: '/thanks', main: '.post-body', sidebar: '.gadgets-column' },
  'panel-builder': { site: 'Tangle', host: 'tangle-campsite', path: '/thanks', main: '.body-part', sidebar: '.stripe' },
  'hosted-shop': {
    site: 'Net Loft',
    host: 'net-loft',
    path: '/thanks',
    main: '[data-area=main]',
    sidebar: '[data-area=side]',
  },
  'tag-manager': {
    site: 'Freight',
    host: 'gullhaven-freight',
    path: '/thanks',
    main: '[data-slot=main]',
    sidebar: '[data-slot=beside]',
  },
}

interface Row {
  platform: string
  region: Region
  box: string
  method: MethodId
  foretold: Ending
  seen: Ending
}

interface Text {
  publicId: string
  snippets: Record<MethodId, string>
}

/** What stands in a box: a text, and beside it another one's that comes off or fails with it, by a method that needs no less. */
interface Planned extends Text {
  region: Region
  box: EditorBox
  beside: Text
}

/** Pasted together: the script of either fills both, and a box that strips one's markup strips the other's. */
const besides: Partial<Record<MethodId, MethodId>> = { inline: 'opener', frame: 'picture' }

/** What the verifier may say of each ending, by the page as served. */
const saidOf: Record<Ending, string[]> = {
  shown: [],
  link: ['script-stripped', 'link-only'],
  code: ['shown-as-text', 'shortcode-raw'],
  nothing: ['absent', 'other-widget'], // others stand in the same region
  blocked: ['blocked'],
}

// Each on a site of its own. The document is written anew with PEBBLESTRAND_WRITE_DOCS=1 and --workers 1.
test.describe.configure({ mode: 'parallel' })

for (const profile of profileList)
  test(`foretold and seen: ${profile.name}`, async ({ signedIn: page, browser }) => {
    test.setTimeout(600_000)
    const place = places[profile.id]!
    const at = siteAddress(place.host, place.path)
    const made: string[] = []
    const planned = await planAll(page, profile, place, made)
    const editor = await browser.newContext()
    const desk = new Desk(await editor.newPage(), place.host)
    await desk.signIn()
    const rows: Row[] = []
    const isSoft = profile.navigation === 'without loading'
    const homeHasScript = (await fetchPage(siteAddress(place.host, '/'))).html.includes('/strand.js')

    /** Pastes one method into some boxes, publishes, and compares what a visitor sees, and what the verifier says, with what was foretold. */
    const round = async (method: MethodId, into: readonly Planned[], more: { connector?: boolean } = {}) => {
      if (!into.length) return
      const filled = Object.fromEntries(planned.map(({ region, box }) => [`${region}.${box.id}`, '']))
      const second = besides[method]
      const texts = into.flatMap(({ region, box, beside, ...own }) => [
        { region, box, method, ...own },
        ...(second ? [{ region, box, method: second, ...beside }] : []),
      ])
      for (const { region, box, ...one } of texts) filled[`${region}.${box.id}`] += `${one.snippets[one.method]}\n`
      await desk.publish(place.path, filled)
      await desk.forget()
      const { html, headers } = await fetchPage(at)
      const policy = String(headers['content-security-policy'] ?? '')
      const ids = texts.map(({ publicId }) => publicId)
      const seen = await seenBy(browser, at, ids)
      const softly = isSoft ? await seenBy(browser, at, ids, siteAddress(place.host, '/')) : null
      for (const { region, box, publicId, method } of texts) {
        const about = { origin: origin(), page: at, region, policy, navigation: profile.navigation, ...more }
        const { ends: expected, losses } = foretold(box, method, about)
        // Our script, once a page has loaded it, opens what is marked for it on those that come after.
        const isOpened = method === 'opener' && homeHasScript
        const without = losses.includes('unloaded') && !isOpened ? 'link' : expected
        if (softly) expect(softly.get(publicId), `${method} in the ${box.name}, without loading`).toBe(without)
        rows.push({
          platform: profile.name,
          region,
          box: box.name,
          method,
          foretold: expected,
          seen: seen.get(publicId)!,
        })
        expectVerdict({ publicId, region, method, expected, policy, html, at })
      }
    }
    const boxes = [...new Map(planned.map(({ box }) => [box.id, box])).values()]
    // A script that one box lets through would fill what stands in another: each has the page to itself.
    for (const box of boxes)
      await round(
        'inline',
        planned.filter((one) => one.box.id === box.id),
      )
    await round('frame', planned)
    await round('link', planned)
    await round('shortcode', planned)
    if (profile.connector) {
      await desk.set({ connector: origin() })
      await round('shortcode', planned, { connector: true })
      await desk.set({ connector: '' })
    }
    if (profile.policy) {
      await desk.set({ allowed: '' })
      for (const box of boxes)
        await round(
          'inline',
          planned.filter((one) => one.box.id === box.id),
        )
      await round('frame', planned)
      await desk.set({ allowed: origin() })
    }
    rows.push(...(await byTag(page, browser, desk, profile, place, made, planned)))
    await desk.publish(place.path, Object.fromEntries(planned.map(({ region, box }) => [`${region}.${box.id}`, ''])))
    await editor.close()
    for (const id of made) await removeAll(page, 'widget', id)
    expect(rows.filter((row) => row.seen !== row.foretold)).toEqual([])
    expectTable(profile, tableOf(rows))
  })

const origin = () => `http://localhost:${settings.port}`

/** Any source of articles will do. */
const newsOf = async (page: Page) =>
  (await api<{ rows: { id: string; kind: string }[] }>(page, 'GET', '/api/sources')).rows.find(
    ({ kind }) => kind === 'feed',
  )!.id

interface SiteAnswer {
  pages: { id: string; path: string }[]
  placements: { id: string; region: Region; selector: string | null }[]
}

/** An install for every box of every region: as many widgets as a region has boxes. */
async function planAll(
  page: Page,
  profile: PlatformProfile,
  place: { site: string; path: string },
  made: string[],
): Promise<Planned[]> {
  const { pages, placements } = await api<SiteAnswer>(page, 'GET', `/api/sites/${await siteId(page, place.site)}`)
  const pageId = pages.find(({ path }) => path === place.path)!.id
  const inRegion = (region: Region) => profile.boxes.filter((box) => box.places.includes(region))
  const most = Math.max(0, ...regionIds.map((region) => inRegion(region).length))
  const widgets: string[] = []
  for (let n = 0; n < 2 * most; n++) {
    widgets.push(await begin(page, 'headlines', 'sidebar-list', `Foretold ${n + 1} at ${place.site}`))
    await publish(page, widgets[n]!, { sources: [await newsOf(page)] })
  }
  made.push(...widgets)
  const textOf = async (region: Region, widgetId: string, method?: MethodId): Promise<Text> => {
    const placementId = placements.find((one) => one.region === region)!.id
    const plan = { widgetId, pageId, placementId, method }
    const { id, error } = await api<{ id: string; error?: unknown }>(page, 'POST', '/api/installs', plan)
    if (error) throw new Error(JSON.stringify(error))
    const { snippets } = await api<{ snippets: Text['snippets'] }>(page, 'GET', `/api/installs/${id}`)
    return { snippets, publicId: /data-pebblestrand="([^"]+)"/.exec(snippets.inline)![1]! }
  }
  return Promise.all(
    regionIds.flatMap((region) =>
      inRegion(region).map(async (box, n) => ({
        region,
        box,
        ...(await textOf(region, widgets[2 * n]!)),
        // A picture is drawn from when it is wanted.
        beside: await textOf(region, widgets[2 * n + 1]!, 'picture'),
      })),
    ),
  )
}

function expectVerdict(one: {
  publicId: string
  region: Region
  method: MethodId
  expected: Ending
  policy: string
  html: string
  at: string
}): void {
  const { publicId, region, method, expected, policy, html, at } = one
  const look: Look = {
    how: 'served',
    url: at,
    finalUrl: at,
    status: 200,
    headers: { 'content-type': 'text/html', ...(policy ? { 'content-security-policy': policy } : {}) },
    html,
    at: '2026-11-26T12:00:00.000Z',
    ms: 1,
    error: null,
  }
  const plan = Plan.parse({
    install: publicId,
    origin: origin(),
    method,
    placement: { region },
    url: at,
    status: 'pasted',
  })
  const { findings } = verify(plan, [look])
  // Whether it is in its place and fits it is asked elsewhere, with a browser or a mark.
  const codes = findings
    .map(({ code }) => code as string)
    .filter((code) => code !== 'no-width' && code !== 'wrong-placement')
  const wanted = saidOf[expected]
  if (wanted.length) expect(wanted, `${method} in the ${region}, ${codes.join()}`).toContain(codes[0])
  else expect(codes, `${method} in the ${region}`).toEqual([])
}

/** The tag in the head, and a widget in each region that it brings. */
async function byTag(
  page: Page,
  browser: Parameters<typeof seenBy>[0],
  desk: Desk,
  profile: PlatformProfile,
  place: (typeof places)[string],
  made: string[],
  pastedOn: readonly Planned[],
): Promise<Row[]> {
  const box = profile.boxes.find(({ places: where }) => where.includes('head'))
  if (!box) return []
  const id = await siteId(page, place.site)
  const { pages, placements, tag } = await api<SiteAnswer & { tag: { installId: string } | null }>(
    page,
    'GET',
    `/api/sites/${id}`,
  )
  const installId = tag?.installId ?? (await api<{ id: string }>(page, 'POST', `/api/sites/${id}/tag`, {})).id
  const { snippets } = await api<{ snippets: Planned['snippets'] }>(page, 'GET', `/api/installs/${installId}`)
  const selectors = { header: '.masthead .wrap', main: place.main, sidebar: place.sidebar, footer: '.colophon .wrap' }
  const widgetId = await begin(page, 'headlines', 'sidebar-list', `Brought at ${place.site}`)
  made.push(widgetId)
  await publish(page, widgetId, { sources: [await newsOf(page)] })
  const ids = new Map<Region, string>()
  for (const region of regionIds) {
    const placement = placements.find((one) => one.region === region)!
    await api(page, 'PATCH', `/api/placements/${placement.id}`, { selector: selectors[region] })
    const { id: own } = await api<{ id: string }>(page, 'POST', '/api/installs', {
      widgetId,
      pageId: pages.find(({ path }) => path === place.path)!.id,
      placementId: placement.id,
      method: 'tag',
    })
    const detail = await api<{ snippets: Planned['snippets'] }>(page, 'GET', `/api/installs/${own}`)
    ids.set(region, /data-pebblestrand="([^"]+)"/.exec(detail.snippets.inline)![1]!)
  }
  // The tag's list is written anew by the queue.
  const listed = pathTo('site', /data-pebblestrand-site="([^"]+)"/.exec(snippets.tag)![1]!)
  await expect(async () => {
    const { shows } = (await (await fetch(origin() + listed)).json()) as SiteList
    expect(shows.map((one) => one.id)).toEqual(expect.arrayContaining([...ids.values()]))
  }).toPass()
  await desk.publish('*', { [`head.${box.id}`]: snippets.tag })
  await desk.forget()
  const at = siteAddress(place.host, place.path)
  const policy = String((await fetchPage(at)).headers['content-security-policy'] ?? '')
  const seen = await seenBy(browser, at, [...ids.values()])
  if (profile.navigation === 'without loading') {
    // What was pasted on that page beside what the tag brings is filled by it as well.
    const pasted = pastedOn.filter(({ region: where }) => where === 'main').slice(0, 1)
    await desk.publish(place.path, { [`main.${pasted[0]!.box.id}`]: pasted[0]!.snippets.inline })
    const wanted = [...ids.values(), ...pasted.map(({ publicId }) => publicId)]
    const softly = await seenBy(browser, at, wanted, siteAddress(place.host, '/'))
    expect([...softly.values()]).toEqual(wanted.map(() => 'shown'))
  }
  await desk.publish('*', { [`head.${box.id}`]: '' })
  for (const placement of placements)
    await api(page, 'PATCH', `/api/placements/${placement.id}`, { selector: placement.selector })
  if (!tag) await removeAll(page, 'install', installId)
  return regionIds.map((region) => ({
    platform: profile.name,
    region,
    box: box.name,
    method: 'tag' as const,
    foretold: foretold(box, 'tag', { origin: origin(), page: at, region, policy, tag: true }).ends,
    seen: seen.get(ids.get(region)!)!,
  }))
}

/** Out of the register, whatever a look has seen of it meanwhile. */
async function removeAll(page: Page, what: string, id: string): Promise<void> {
  const asked = { what, id }
  const answer = await api<{ data?: { standing?: { total: number } } }>(page, 'POST', '/api/removals', asked)
  const standing = answer.data?.standing?.total
  if (standing) await api(page, 'POST', '/api/removals', { ...asked, standing })
}

/** Each line a box of a region, each column a method. */
function tableOf(rows: readonly Row[]): string {
  const columns = ['inline', 'frame', 'link', 'shortcode', 'tag', 'opener', 'picture'] as const
  const keys = [...new Set(rows.map(({ region, box }) => `${region}\t${box}`))]
  const cell = (key: string, method: MethodId) =>
    [
      ...new Set(
        rows.filter((row) => `${row.region}\t${row.box}` === key && row.method === method).map(({ seen }) => seen),
      ),
    ]
      .map((ending) => endings[ending].name)
      .join('; ')
  return [
    '| region | box | element and script | frame | address | shortcode | site tag | opener | picture |',
    '|---|---|---|---|---|---|---|---|---|',
    ...keys.map(
      (key) => `| ${key.split('\t').join(' | ')} | ${columns.map((method) => cell(key, method) || '–').join(' | ')} |`,
    ),
  ].join('\n')
}

const file = new URL('../docs/foretold-and-seen.md', import.meta.url)

/** The part of a platform in the document; written anew where `PEBBLESTRAND_WRITE_DOCS` is set. */
function expectTable(profile: PlatformProfile, table: string): void {
  const text = readFileSync(file, 'utf8')
  const part = new RegExp(`(## ${profiles[profile.id]!.name.replace(/[()]/g, '\\$&')}\n\n)[\\s\\S]*?(?=\n## |$)`)
  if (process.env.PEBBLESTRAND_WRITE_DOCS) return writeFileSync(file, text.replace(part, `$1${table}\n`))
  expect(part.exec(text)?.[0].trim()).toBe(`## ${profile.name}\n\n${table}`)
}
