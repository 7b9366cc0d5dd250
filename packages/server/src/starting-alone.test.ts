import { spawn } from 'node:child_process'
import { once } from 'node:events'
import { createServer, type AddressInfo, type Socket } from 'node:net'
import { fileURLToPath } from 'node:url'
import { expect, it } from 'vitest'

it('a server whose starter is gone while its database says nothing ends', async () => {
  const sockets = new Set<Socket>()
  const silent = createServer((socket) => void sockets.add(socket.on('error', () => {}))).listen(0, '127.0.0.1')
  await once(silent, 'listening')
  const { port } = silent.address() as AddressInfo
  const server = spawn(process.execPath, [fileURLToPath(new URL('../dist/main.js', import.meta.url))], {
    env: {
      ...process.env,
      PEBBLESTRAND_TIED: '1',
      ROLE: 'worker',
      PEBBLESTRAND_ORIGIN: 'http://localhost:4600',
      DATABASE_URL: `postgres://a:b@127.0.0.1:${port}/c`,
    },
    stdio: ['pipe', 'ignore', 'ignore'],
  })
  const ended = once(server, 'exit')
  try {
    await Promise.race([once(silent, 'connection'), ended]) // it waits for an answer from here on
    expect(sockets.size).toBeGreaterThan(0)
    server.stdin.end()
    expect(await ended).toEqual([1, null])
  } finally {
    server.kill('SIGKILL')
    for (const socket of sockets) socket.destroy()
    silent.close()
  }
})
