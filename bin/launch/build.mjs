// Builds what is older than its sources: the widget runtime, the web application, server, stand-ins and bin/pebble.
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { Complaint } from './complaint.mjs'
import { root } from './settings.mjs'

const at = (...parts) => join(root, 'packages', ...parts)

function newest(path) {
  const info = statSync(path)
  if (!info.isDirectory()) return info.mtimeMs
  return readdirSync(path, { withFileTypes: true })
    .filter((entry) => !['node_modules', 'dist'].includes(entry.name) && !entry.name.endsWith('.test.ts'))
    .reduce((latest, entry) => Math.max(latest, newest(join(path, entry.name))), 0)
}

/** A hash of all code in a folder: another one means that what was rendered before may look different now. */
function hashOf(folder) {
  const hash = createHash('sha256')
  const add = (path) => {
    for (const entry of readdirSync(path, { withFileTypes: true }).sort((a, b) => (a.name < b.name ? -1 : 1))) {
      if (entry.isDirectory()) add(join(path, entry.name))
      else if (!entry.name.endsWith('.test.ts')) hash.update(entry.name).update(readFileSync(join(path, entry.name)))
    }
  }
  add(folder)
  return hash.digest('hex').slice(0, 16)
}

const lock = join(root, 'package-lock.json')
const stale = (mark, ...sources) =>
  !existsSync(mark) || statSync(mark).mtimeMs < Math.max(...[...sources, lock].map(newest))

/** Ours is bundled in, everything from the registry stays outside. */
const registryStaysOutside = {
  name: 'registry-stays-outside',
  setup(build) {
    build.onResolve({ filter: /^[^./]/ }, ({ path, kind }) =>
      kind === 'entry-point' || path.startsWith('@pebblestrand/') ? undefined : { path, external: true },
    )
  },
}

async function bundleNode(entry, outfile, define = {}) {
  const { build } = await import('esbuild')
  await build({
    entryPoints: [entry],
    outfile,
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    sourcemap: true,
    define,
    plugins: [registryStaysOutside],
    logLevel: 'error',
  })
}

/** What starts often, a command or a thread: everything in one file is read in half the time. */
async function bundleWhole(entry, outfile, external = []) {
  const { build } = await import('esbuild')
  await build({
    entryPoints: [entry],
    outfile,
    bundle: true,
    // Names stay: functions that are sent into a page are found by them there.
    minifyWhitespace: true,
    minifySyntax: true,
    keepNames: true,
    platform: 'node',
    format: 'cjs',
    target: 'node20',
    external,
    logLevel: 'error',
  })
}

/** The script client sites load: one file, no module, old enough for every browser in use. Each behaviour is a module of its own beside it. */
async function bundleRuntime() {
  const { build } = await import('esbuild')
  const shared = { bundle: true, minify: true, target: 'es2020', logLevel: 'error' }
  await build({
    ...shared,
    entryPoints: [at('widget', 'src', 'strand.ts')],
    outfile: at('widget', 'dist', 'strand.js'),
    format: 'iife',
  })
  for (const name of ['sheet', 'stage'])
    await build({
      ...shared,
      entryPoints: [at('widget', 'src', `${name}.ts`)],
      outfile: at('widget', 'dist', `${name}.js`),
      format: 'iife',
    })
  const behaviours = at('widget', 'src', 'behaviours')
  const names = existsSync(behaviours) ? readdirSync(behaviours).filter((name) => !name.endsWith('.test.ts')) : []
  mkdirSync(at('widget', 'dist', 'behaviours'), { recursive: true })
  await build({
    ...shared,
    entryPoints: names.map((name) => join(behaviours, name)),
    outdir: at('widget', 'dist', 'behaviours'),
    format: 'esm',
  })
}

async function bundleWeb() {
  const { build } = await import('vite')
  const before = process.env.NODE_ENV
  // Whoever asks for it, a test runner too: what is built is what visitors get.
  const mode = process.env.NODE_ENV
  process.env.NODE_ENV = 'production'
  await build({ root: at('web'), logLevel: 'warn' }).finally(() => {
    if (mode === undefined) delete process.env.NODE_ENV
    else process.env.NODE_ENV = mode
  })
  // It leaves "production" behind, which whatever is started next, such as the tests, would take over.
  if (before === undefined) delete process.env.NODE_ENV
  else process.env.NODE_ENV = before
  writeFileSync(at('web', 'dist', '.built'), '')
}

const parts = [
  {
    name: 'widget runtime',
    mark: at('widget', 'dist', 'strand.js'),
    sources: [at('widget', 'src'), at('core', 'src')],
    make: bundleRuntime,
  },
  {
    name: 'server',
    mark: at('server', 'dist', 'main.js'),
    sources: [at('server', 'src'), at('core', 'src'), at('contract', 'src')],
    make: () =>
      bundleNode(at('server', 'src', 'main.ts'), at('server', 'dist', 'main.js'), {
        CORE_HASH: JSON.stringify(hashOf(at('core', 'src'))),
      }),
  },
  {
    name: 'reading threads',
    mark: at('server', 'dist', 'tasks.cjs'),
    sources: [at('server', 'src', 'platform', 'threads'), at('core', 'src')],
    make: () => bundleWhole(at('server', 'src', 'platform', 'threads', 'tasks.ts'), at('server', 'dist', 'tasks.cjs')),
  },
  {
    name: 'picture process',
    mark: at('server', 'dist', 'pictures.cjs'),
    sources: [at('server', 'src', 'pictures', 'copying')],
    make: () =>
      bundleWhole(at('server', 'src', 'pictures', 'copying', 'process.ts'), at('server', 'dist', 'pictures.cjs'), [
        'sharp',
      ]),
  },
  {
    name: 'pebble',
    mark: at('server', 'dist', 'pebble.cjs'),
    sources: [
      at('server', 'src', 'cli'),
      at('server', 'src', 'checks'),
      at('server', 'src', 'platform'),
      at('core', 'src'),
    ],
    // What drives a browser stays outside: it is loaded by who asks for one.
    make: () =>
      bundleWhole(at('server', 'src', 'cli', 'main.ts'), at('server', 'dist', 'pebble.cjs'), ['playwright-core']),
  },
  {
    name: 'stand-ins',
    mark: at('standins', 'dist', 'main.js'),
    sources: [at('standins', 'src')],
    make: () => bundleNode(at('standins', 'src', 'main.ts'), at('standins', 'dist', 'main.js')),
  },
  {
    name: 'web application',
    mark: at('web', 'dist', '.built'),
    sources: [at('web'), at('core', 'src'), at('contract', 'src'), at('widget', 'src')],
    make: bundleWeb,
  },
]

/** @param only names of parts; all of them when left out */
export async function buildWhatIsStale(say, only = parts.map((p) => p.name)) {
  const due = parts.filter((part) => only.includes(part.name) && stale(part.mark, ...part.sources))
  if (due.length) say(`Building ${due.map((p) => p.name).join(', ')} …`)
  for (const part of due) {
    mkdirSync(join(part.mark, '..'), { recursive: true })
    await part.make().catch((error) => {
      throw new Complaint(`The ${part.name} could not be built: ${error.message}`)
    })
  }
}

if (process.argv[1] && import.meta.url === pathToFileURL(process.argv[1]).href) {
  const { orComplain } = await import('./complaint.mjs')
  orComplain(() => buildWhatIsStale((line) => console.log(line)))
}
