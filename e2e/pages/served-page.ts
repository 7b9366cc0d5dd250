import { createServer } from 'node:http'
import type { AddressInfo } from 'node:net'
import { settings } from './settings'

/** Serves one page on loopback under a host of its own, with headers of the test's choosing, while `look` looks at it. */
export async function withServedPage(
  page: { host: string; html: string; headers?: Record<string, string>; path?: string },
  look: (url: string) => Promise<void>,
): Promise<void> {
  const path = page.path ?? '/'
  const server = createServer((request, answer) => {
    // With words in it: where there are none, Chromium shows a page of its own.
    if (request.url!.split('?')[0] !== path)
      return void answer.writeHead(404, { 'content-type': 'text/html' }).end('<!doctype html><h1>Another page</h1>')
    answer.writeHead(200, { 'content-type': 'text/html; charset=utf-8', ...page.headers }).end(page.html)
  })
  await new Promise<void>((listening) => server.listen(0, settings.loopback, listening))
  try {
    await look(`http://${page.host}.localhost:${(server.address() as AddressInfo).port}${path}`)
  } finally {
    server.closeAllConnections()
    server.close()
  }
}
