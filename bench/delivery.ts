import { spawn, type ChildProcess } from 'node:child_process'
import { rmSync } from 'node:fs'
import { join } from 'node:path'
import autocannon from 'autocannon'
import { startPostgres, stopLeftOver } from '../bin/launch/postgres.mjs'
import { settled } from '../bin/launch/settled.mjs'
import { startSystem } from '../bin/launch/system.mjs'
import { median, settings, type Ratio } from './stand'

const BARE_PORT = settings.port + 2

/** Delivery of a payload by the running system, against a bare Fastify route that sends the same bytes, each in a process of its own, in turn. */
export async function delivery(): Promise<Ratio[]> {
  const own = { ...settings, data: join(settings.data, 'bench') }
  rmSync(own.data, { recursive: true, force: true })
  const system = await startSystem(own, { durable: false })
  await settled(system.databaseUrl)
  let bare: ChildProcess | null = null
  try {
    const path = `/p2/${await idFromSite()}.json`
    const bytes = Buffer.from(await (await fetch(`http://127.0.0.1:${settings.port}${path}`)).arrayBuffer())
    bare = await startBare(bytes)
    const ours: number[] = []
    const theirs: number[] = []
    // Both warm: compiled.
    await rate(settings.port, path, 10)
    await rate(BARE_PORT, '/', 5)
    // Short turns: a shared machine changes its speed within seconds, and a pair should meet the same.
    for (let round = 0; round < 15; round++) {
      ours.push(await rate(settings.port, path, 1))
      theirs.push(await rate(BARE_PORT, '/', 1))
    }
    const pairs = ours.map((rate, i) => rate / theirs[i]!)
    const says = (rates: number[]) => `${Math.round(median(rates))} requests/s`
    const stopped = await withoutDatabase(own, path)
    return [
      stopped,
      {
        name: `payload of ${bytes.length} bytes`,
        measured: says(ours),
        against: `a bare route: ${says(theirs)}`,
        ratio: median(pairs),
        wants: { least: 0.7 },
      },
    ]
  } finally {
    bare?.kill()
    await system.stop()
  }
}

/** The same bytes while the database is stopped, against with it: what is kept is served on. */
async function withoutDatabase(own: typeof settings, path: string): Promise<Ratio> {
  const rates = async () => {
    const all: number[] = []
    for (let round = 0; round < 7; round++) all.push(await rate(settings.port, path, 1))
    return median(all)
  }
  const before = await rates()
  stopLeftOver(own)
  const stopped = await rates()
  const { headers } = await fetch(`http://127.0.0.1:${settings.port}${path}`)
  if (!headers.get('pebblestrand-stale')) throw new Error('the database was not missed')
  startPostgres(own, { durable: false })
  await new Promise((resolve) => setTimeout(resolve, 6000))
  const after = await rates()
  const withIt = (before + after) / 2
  return {
    name: 'payload while the database is stopped',
    measured: `${Math.round(stopped)} requests/s`,
    against: `with it, before and after: ${Math.round(withIt)} requests/s`,
    ratio: stopped / withIt,
    wants: { least: 0.9 },
  }
}

async function rate(port: number, path: string, seconds: number): Promise<number> {
  const result = await autocannon({ url: `http://127.0.0.1:${port}${path}`, connections: 20, duration: seconds })
  if (result.non2xx) throw new Error(`${result.non2xx} answers were no success`)
  return result.requests.average
}

/** The public id of a widget on a demo site, as a visitor's browser finds it. fetch does not let a caller set the host; a plain request does. */
async function idFromSite(): Promise<string> {
  const { request } = await import('node:http')
  const html = await new Promise<string>((resolve, reject) => {
    request(
      {
        port: settings.standinsPort,
        host: '127.0.0.1',
        path: '/',
        headers: { host: `gullhaven.localhost:${settings.standinsPort}` },
      },
      (answer) => {
        let text = ''
        answer.on('data', (part: Buffer) => (text += part.toString())).on('end', () => resolve(text))
      },
    )
      .on('error', reject)
      .end()
  })
  const id = /data-pebblestrand="([^"]+)"/.exec(html)?.[1]
  if (!id) throw new Error('The demo site shows no widget.')
  return id
}

async function startBare(bytes: Buffer): Promise<ChildProcess> {
  const code = `
    import Fastify from 'fastify'
    const bytes = Buffer.from(process.env.BYTES, 'base64')
    const app = Fastify()
    app.get('/', (request, reply) => reply.header('content-type', 'application/json; charset=utf-8').send(bytes))
    await app.listen({ port: ${BARE_PORT}, host: '127.0.0.1' })
    console.log('ready')`
  const child = spawn(process.execPath, ['--input-type=module', '-e', code], {
    cwd: join(import.meta.dirname, '../packages/server'),
    env: { ...process.env, NODE_ENV: 'production', BYTES: bytes.toString('base64') },
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  await new Promise<void>((resolve, reject) => {
    child.stdout!.on('data', () => resolve())
    child.on('exit', () => reject(new Error('The bare server did not start.')))
  })
  return child
}
