import { spawn } from 'node:child_process'
import { fileURLToPath } from 'node:url'

/** A worker in a process of its own, which can be killed as a machine kills: without a word. */
export interface OtherWorker {
  kill(): Promise<void>
}

/** As it runs for real; global-setup.ts builds it. */
const main = fileURLToPath(new URL('../../../dist/main.js', import.meta.url))

export async function startOtherWorker(databaseUrl: string, origin: string): Promise<OtherWorker> {
  const child = spawn(process.execPath, [main], {
    env: {
      ...process.env,
      DATABASE_URL: databaseUrl,
      PEBBLESTRAND_ORIGIN: origin,
      ROLE: 'worker',
      PEBBLESTRAND_TIED: '1',
    },
    stdio: ['pipe', 'pipe', 'inherit'],
  })
  const gone = new Promise<void>((resolve) => child.once('exit', () => resolve()))
  await new Promise<void>((resolve, reject) => {
    let printed = ''
    child.stdout.on('data', (data: Buffer) => {
      printed += String(data)
      if (/^ready /m.test(printed)) resolve()
    })
    child.once('exit', () => reject(new Error(`The worker ended before it was up. ${printed}`)))
  })
  return {
    async kill() {
      child.kill('SIGKILL')
      await gone
    },
  }
}
