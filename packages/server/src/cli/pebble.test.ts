import { spawnSync } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { parseHeaders } from './headers-file'
import { standinsPort } from '../testing/standins'

const root = new URL('../../../..', import.meta.url).pathname
const folder = mkdtempSync(join(tmpdir(), 'pebble-'))
const file = (name: string, content: string | Uint8Array) => {
  const path = join(folder, name)
  writeFileSync(path, content)
  return path
}
/** What `bin/pebble` runs, once it is built. */
const program = join(root, 'packages/server/dist/pebble.cjs')
const pebble = (...args: string[]) => {
  const { status, stdout, stderr } = spawnSync(process.execPath, [program, ...args], { encoding: 'utf8', cwd: folder })
  return {
    status,
    lines: stdout
      .split('\n')
      .filter(Boolean)
      .map((l) => JSON.parse(l) as Record<string, never>),
    stderr,
  }
}
const fixtures = join(root, 'packages/core/src/sources/feed/fixtures')
const plan = {
  install: 'pk7h2-mq9xv',
  origin: 'https://strand.example',
  placement: { region: 'sidebar', width: 300 },
  url: 'https://ferries.example/timetable',
}
const widget =
  '<div data-pebblestrand="pk7h2-mq9xv"></div><script async src="https://strand.example/strand.js"></script>'
const page = (aside: string) => `<!DOCTYPE html><title>T</title><body><main>Hi</main><aside>${aside}</aside></body>`

beforeAll(() => void spawnSync(join(root, 'bin/pebble'), ['--help']), 60_000) // builds it the first time
afterAll(() => rmSync(folder, { recursive: true, force: true }))

it('is called as bin/pebble, from any folder', () => {
  const { status, stdout } = spawnSync(join(root, 'bin/pebble'), ['--help'], { encoding: 'utf8', cwd: folder })
  expect([status, stdout.split(' ', 2)]).toEqual([0, ['bin/pebble', 'feed']])
})

describe('pebble feed', () => {
  it('prints one line a file: kind, title, link, items', () => {
    const { status, lines } = pebble('feed', join(fixtures, 'atom-minimal.xml'), join(fixtures, 'json-feed.json'))
    expect(status).toBe(0)
    expect(lines).toMatchObject([
      {
        kind: 'atom',
        title: 'Example Feed',
        link: 'http://example.org/',
        items: [{ title: 'Atom-Powered Robots Run Amok' }],
      },
      { kind: 'json', title: 'My Example Feed', items: [{ id: '2' }, { id: '1' }] },
    ])
  })
  it('resolves against --base', () => {
    const path = file(
      'relative.xml',
      '<rss version="2.0"><channel><title>T</title><item><title>x</title><link>/p</link></item></channel></rss>',
    )
    expect(pebble('feed', path, '--base', 'https://a.example/feed').lines[0]).toMatchObject({
      items: [{ link: 'https://a.example/p' }],
    })
  })
  it('prints the error of what is not a feed, with the remedy', () => {
    const path = file('page.html', '<!DOCTYPE html><html></html>')
    const { status, lines } = pebble('feed', path)
    expect(lines).toMatchObject([
      { file: path, error: { code: 'feed-is-html', message: expect.any(String), remedy: expect.any(String) } },
    ])
    expect(status).toBe(0)
    expect(pebble('feed', '--strict', path).status).toBe(1)
  })
  it('reads a feed in its own encoding', () => {
    const path = file(
      'latin.xml',
      Buffer.from(
        '<?xml version="1.0" encoding="ISO-8859-1"?><rss version="2.0"><channel><title>Caf\xe9</title></channel></rss>',
        'latin1',
      ),
    )
    expect(pebble('feed', path).lines[0]).toMatchObject({ title: 'Café' })
  })
  it('ends quietly when nobody reads on', () => {
    const jobs = file('many.jsonl', `${JSON.stringify({ page: file('p.html', page(widget)), plan })}\n`.repeat(200))
    const command = `set -o pipefail; '${join(root, 'bin/pebble')}' verify --jobs '${jobs}' | head -1 >/dev/null`
    const { status, stderr } = spawnSync('bash', ['-c', command], { encoding: 'utf8' })
    expect({ status, stderr }).toEqual({ status: 0, stderr: '' })
  })
  it('goes on after a file that cannot be read, and exits 2', () => {
    const { status, lines, stderr } = pebble('feed', join(folder, 'none.xml'), join(fixtures, 'atom-minimal.xml'))
    expect(status).toBe(2)
    expect(lines).toHaveLength(1)
    expect(stderr).toMatch(/none\.xml cannot be read: there is no such file\./)
  })
})

describe('pebble verify', () => {
  it('confirms', () => {
    const { status, lines } = pebble(
      'verify',
      '--page',
      file('good.html', page(widget)),
      '--plan',
      file('plan.json', JSON.stringify(plan)),
    )
    expect(status).toBe(0)
    expect(lines).toMatchObject([
      {
        install: 'pk7h2-mq9xv',
        status: 'confirmed',
        findings: [],
        facts: { region: 'sidebar', fingerprint: expect.stringMatching(/^p1:/) },
      },
    ])
  })
  it('tells a cached copy from the two pages and the headers', () => {
    const headers = file('headers.json', JSON.stringify({ served: { headers: { Age: '60' } }, fresh: { status: 200 } }))
    const { lines, status } = pebble(
      'verify',
      '--page',
      file('old.html', page('')),
      '--fresh',
      file('new.html', page(widget)),
      '--plan',
      file('plan.json', JSON.stringify(plan)),
      '--headers',
      headers,
      '--strict',
    )
    expect(lines).toMatchObject([{ status: 'needs-a-hand', findings: [{ code: 'cached-copy', data: { age: 60 } }] }])
    expect(status).toBe(1)
  })
  it('knows an unpublished page by the fingerprint of the run before', () => {
    const before = pebble(
      'verify',
      '--page',
      file('old.html', page('')),
      '--plan',
      file('plan.json', JSON.stringify(plan)),
    ).lines[0] as unknown as { facts: { fingerprint: string } }
    const later = file(
      'plan2.json',
      JSON.stringify({ ...plan, status: 'pasted', baseline: { fingerprint: before.facts.fingerprint } }),
    )
    expect(pebble('verify', '--page', join(folder, 'old.html'), '--plan', later).lines[0]).toMatchObject({
      findings: [{ code: 'unpublished' }],
    })
  })
  it('follows relative redirects in a header dump, from one to the next', () => {
    const dump = file(
      'relative.txt',
      'HTTP/1.1 302 Found\r\nLocation: /en/\r\n\r\nHTTP/1.1 302 Found\r\nLocation: sailings\r\n\r\nHTTP/1.1 200 OK\r\n\r\n',
    )
    const planned = file('plan.json', JSON.stringify(plan))
    expect(
      pebble('verify', '--page', file('good.html', page(widget)), '--plan', planned, '--headers', dump).lines[0],
    ).toMatchObject({ findings: [{ code: 'moved', data: { destination: 'https://ferries.example/en/sailings' } }] })
  })
  it('reads a header dump with a redirect', () => {
    const dump = file(
      'dump.txt',
      'HTTP/1.1 301 Moved\r\nLocation: https://ferries.example/sailings\r\n\r\nHTTP/1.1 200 OK\r\nContent-Type: text/html\r\n\r\n',
    )
    expect(
      pebble(
        'verify',
        '--page',
        file('good.html', page(widget)),
        '--plan',
        file('plan.json', JSON.stringify(plan)),
        '--headers',
        dump,
      ).lines[0],
    ).toMatchObject({ findings: [{ code: 'moved', data: { destination: 'https://ferries.example/sailings' } }] })
  })
})

describe('pebble verify of many', () => {
  it('answers each job in its order, also one that cannot be done', () => {
    const good = file('good.html', page(widget))
    const jobs = [
      { page: good, plan },
      { page: join(folder, 'none.html'), plan },
      { page: file('empty.html', page('')), fresh: good, headers: { served: { headers: { Age: '60' } } }, plan },
      { plan },
      { page: good, plan: { ...plan, placement: { region: 'cellar' } } },
      { page: file('tangled.html', '<div>'.repeat(2000)), plan },
    ]
    const lines = file('jobs.jsonl', `${jobs.map((job) => JSON.stringify(job)).join('\n')}\nnot json\n`)
    const result = pebble('verify', '--jobs', lines)
    expect(result.status).toBe(2)
    expect(result.lines).toMatchObject([
      { status: 'confirmed' },
      { line: 2, error: { message: expect.stringMatching(/none\.html cannot be read/) } },
      { findings: [{ code: 'cached-copy', data: { age: 60 } }] },
      { line: 4, error: { message: expect.stringMatching(/page and plan are needed/) } },
      { line: 5, error: { message: expect.stringMatching(/placement\.region/) } },
      { findings: [{ code: 'unreachable', says: expect.stringMatching(/too tangled/) }] },
      { line: 7, error: { message: 'It is not JSON.' } },
    ])
  })
  it('is strict about all of them', () => {
    const lines = file('one.jsonl', JSON.stringify({ page: file('empty.html', page('')), plan }))
    expect(pebble('verify', '--jobs', lines, '--strict').status).toBe(1)
    expect(pebble('verify', '--jobs', lines).status).toBe(0)
  })
})

describe('pebble verify of a page on the web', () => {
  const url = `http://brackenfold.localhost:${standinsPort()}/orchard`
  const planFile = () => file('there.json', JSON.stringify({ ...plan, url }))
  it('looks as served and past the cache, where private addresses are let through', () => {
    const { lines, status } = pebble('verify', '--url', url, '--plan', planFile(), '--allow-private')
    expect(status).toBe(0)
    expect(lines).toMatchObject([{ findings: [{ code: 'absent', data: { pastCache: true } }], facts: { status: 200 } }])
  })
  it('looks in a browser at three widths as well, where it is asked to', () => {
    const { lines, status } = pebble('verify', '--url', url, '--plan', planFile(), '--allow-private', '--browser')
    expect(status).toBe(0)
    const [line] = lines as unknown as {
      findings: { code: string }[]
      notes: unknown[]
      reasoning: { about: string; says: string[] }[]
    }[]
    expect(line).toMatchObject({ findings: [{ code: 'absent' }], notes: [] })
    expect(line!.reasoning.map(({ about }) => about)).toEqual(
      expect.arrayContaining(['served', 'fresh', 'phone', 'tablet', 'desktop']),
    )
  }, 60_000)
  it('and does not reach them otherwise', () =>
    expect(pebble('verify', '--url', url, '--plan', planFile()).lines).toMatchObject([
      { findings: [{ code: 'unreachable', says: expect.stringMatching(/this machine itself/) }] },
    ]))
})

describe('called wrongly', () => {
  it.each([
    [[], /Say which command/],
    [['sail'], /no command called sail/],
    [['feed'], /at least one file/],
    [['feed', 'x', '--base', 'nope'], /not an address/],
    [['feed', 'x', '--colour'], /--colour/],
    [['verify', '--page', 'x'], /--page \(or --url\) and --plan are needed/],
    [['verify', '--page', 'x', '--url', 'http://x.example/', '--plan', 'y'], /not both/],
    [['verify', '--page', 'x', '--plan', 'y', '--browser'], /--browser looks at an address/],
    [['verify', '--url', 'nope', '--plan', file('plan.json', JSON.stringify(plan))], /--url: nope is not an address/],
    [['verify', '--page', 'x', '--plan', '/nowhere.json'], /nowhere\.json cannot be read/],
  ])('%j exits 2 and says so', (args, says) => {
    const { status, stderr, lines } = pebble(...args)
    expect(status).toBe(2)
    expect(stderr).toMatch(says)
    expect(lines).toEqual([])
  })
  it('names the field of a plan that is wrong', () => {
    const wrong = file('wrong.json', JSON.stringify({ ...plan, placement: { region: 'cellar' } }))
    const { status, stderr } = pebble('verify', '--page', file('good.html', page('')), '--plan', wrong)
    expect(status).toBe(2)
    expect(stderr).toMatch(/placement\.region/)
  })
  it('names a headers file that is none', () => {
    expect(() => parseHeaders('hello', 'h.txt')).toThrow('h.txt is neither JSON nor a header dump')
    expect(() => parseHeaders('{"served":{"status":"x"}}', 'h.json')).toThrow(/served\.status/)
  })
})
