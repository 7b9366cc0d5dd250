import { spawn } from 'node:child_process'
import { once } from 'node:events'
import { expect, it } from 'vitest'

/** A server that has two last words as it ends, when its input closes: the second waits until the first is written. */
const program = `
import Fastify from 'fastify'
import { logStream, outliveReaders } from '${new URL('./log-stream.ts', import.meta.url).href}'
outliveReaders()
const app = Fastify({ logger: { stream: logStream } })
process.stdin.resume().once('close', () => {
  for (const word of ['one', 'another']) app.log.error(new Error(word))
  process.exit(0)
})
app.log.info('ready')`

it('a process whose reader is gone ends, whatever it has to say last', async () => {
  const server = spawn(process.execPath, ['--import', 'tsx', '--input-type=module', '-e', program], {
    stdio: ['pipe', 'pipe', 'ignore'],
    cwd: import.meta.dirname,
  })
  const ended = once(server, 'exit')
  try {
    for await (const printed of server.stdout) if (String(printed).includes('ready')) break // which closes it
    server.stdin.end()
    expect(await ended).toEqual([0, null])
  } finally {
    server.kill('SIGKILL')
  }
}, 20_000)
