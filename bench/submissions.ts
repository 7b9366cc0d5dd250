import { spawn, type ChildProcess } from 'node:child_process'
import { rmSync } from 'node:fs'
import { join } from 'node:path'
import autocannon from 'autocannon'
import { settled } from '../bin/launch/settled.mjs'
import { startSystem } from '../bin/launch/system.mjs'
import { Owner } from './owner'
import { plannedForm } from './planned-form'
import { median, settings, type Ratio } from './stand'

const BARE_PORT = settings.port + 2
const HEADERS = { 'content-type': 'application/x-www-form-urlencoded', accept: 'application/json' }

/** Forms that are sent to the running system, against a bare Fastify route that writes one row into the same database. */
export async function submissions(): Promise<Ratio[]> {
  const own = { ...settings, data: join(settings.data, 'bench') }
  rmSync(own.data, { recursive: true, force: true })
  // Who sends is told by the proxy in front, and no number of them is an attack: what is measured is what is kept.
  Object.assign(process.env, { PEBBLESTRAND_TRUST_PROXY: '1', PEBBLESTRAND_FORM_ATTACK: '100000' })
  const system = await startSystem(own, { durable: false })
  await settled(system.databaseUrl)
  let bare: ChildProcess | null = null
  try {
    const owner = new Owner()
    await owner.signIn()
    const { path } = await plannedForm(owner, { name: 'Sent often' })
    bare = await startBare(system.databaseUrl)
    const ours: number[] = []
    const theirs: number[] = []
    await rate(settings.port, path, 5)
    await rate(BARE_PORT, '/', 5)
    for (let round = 0; round < 15; round++) {
      ours.push(await rate(settings.port, path, 1))
      theirs.push(await rate(BARE_PORT, '/', 1))
    }
    const says = (rates: number[]) => `${Math.round(median(rates))} submissions/s`
    return [
      {
        name: 'forms that are sent: read, judged, and kept once',
        measured: says(ours),
        against: `a bare route that writes one row: ${says(theirs)}`,
        ratio: median(ours.map((rate, i) => rate / theirs[i]!)),
        wants: { least: 0.5 },
      },
    ]
  } finally {
    bare?.kill()
    await system.stop()
  }
}

let sent = 0
async function rate(port: number, path: string, seconds: number): Promise<number> {
  const result = await autocannon({
    url: `http://127.0.0.1:${port}${path}`,
    connections: 20,
    duration: seconds,
    requests: [
      {
        method: 'POST',
        setupRequest: (request) => {
          const n = sent++
          const address = `10.${(n >> 16) & 255}.${(n >> 8) & 255}.${n & 255}`
          const body = `name=Visitor+${n}&email=v${n}%40visitor.example&message=A+message+of+some+length&_key=bench-key-${n}&_took=9000`
          return { ...request, headers: { ...HEADERS, 'x-forwarded-for': address }, body }
        },
      },
    ],
  })
  if (result.non2xx) throw new Error(`${result.non2xx} answers were no success`)
  return result.requests.average
}

async function startBare(databaseUrl: string): Promise<ChildProcess> {
  const code = `
    import Fastify from 'fastify'
    import pg from 'pg'
    const pool = new pg.Pool({ connectionString: process.env.DATABASE, max: 10 })
    await pool.query('CREATE TABLE IF NOT EXISTS bench_rows (id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY, body text NOT NULL)')
    const app = Fastify()
    app.addContentTypeParser('*', { parseAs: 'string' }, (request, body, done) => done(null, body))
    app.post('/', async (request) => {
      await pool.query('INSERT INTO bench_rows (body) VALUES ($1)', [request.body])
      return { ok: true }
    })
    await app.listen({ port: ${BARE_PORT}, host: '127.0.0.1' })
    console.log('ready')`
  const child = spawn(process.execPath, ['--input-type=module', '-e', code], {
    cwd: join(import.meta.dirname, '../packages/server'),
    env: { ...process.env, NODE_ENV: 'production', DATABASE: databaseUrl },
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  await new Promise<void>((resolve, reject) => {
    child.stdout!.on('data', () => resolve())
    child.on('exit', () => reject(new Error('The bare server did not start.')))
  })
  return child
}
