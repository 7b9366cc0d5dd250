import { join } from 'node:path'

const launch = new URL('../../../../../bin/launch/', import.meta.url)

/** A PostgreSQL cluster that a test may pull the plug of: no other test stands on it. */
export interface Cluster {
  url: string
  stop(): void
  start(): void
}

export async function startCluster(): Promise<Cluster> {
  const [{ readSettings }, { startPostgres, stopLeftOver }] = (await Promise.all(
    ['settings', 'postgres'].map((name) => import(new URL(`${name}.mjs`, launch).href)),
  )) as [
    { readSettings(how: object): { data: string; dbPort: number } },
    {
      startPostgres(settings: object, how: object): { url: string; stop(): void }
      stopLeftOver(settings: object): void
    },
  ]
  const settings = readSettings({ forTests: true })
  const own = { data: join(settings.data, 'faults'), dbPort: settings.dbPort + 7 }
  stopLeftOver(own)
  let running: { url: string; stop(): void } | null = startPostgres(own, { durable: false })
  return {
    url: running.url,
    stop() {
      running?.stop()
      running = null
    },
    start() {
      running ??= startPostgres(own, { durable: false })
    },
  }
}
