import { createServer, type RequestListener } from 'node:http'
import type { AddressInfo } from 'node:net'

/** A site that behaves as badly as it is told to, under a name of its own on loopback. */
export interface Host {
  /** Of a path on it. */
  at(path?: string): string
  /** Requests that came, oldest first: method and path. */
  requests: string[]
  /** How many were open at the same time at most. */
  mostAtOnce(): number
  stop(): Promise<void>
}

export async function startHost(name: string, answer: RequestListener): Promise<Host> {
  const requests: string[] = []
  let [open, most] = [0, 0]
  const server = createServer((request, response) => {
    requests.push(`${request.method} ${request.url}`)
    most = Math.max(most, ++open)
    response.once('close', () => open--)
    void answer(request, response)
  })
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
  const { port } = server.address() as AddressInfo
  return {
    at: (path = '/') => `http://${name}.localhost:${port}${path}`,
    requests,
    mostAtOnce: () => most,
    stop: () =>
      new Promise((resolve) => {
        server.close(() => resolve())
        server.closeAllConnections()
      }),
  }
}

const type = (contentType: string) => ({ 'content-type': contentType })

/** Always the same document. */
export const giving =
  (body: string | Buffer, contentType = 'text/html; charset=utf-8'): RequestListener =>
  (_request, response) =>
    void response.writeHead(200, type(contentType)).end(body)

/** After so many milliseconds. */
export const slowly =
  (ms: number, then: RequestListener): RequestListener =>
  (request, response) =>
    void setTimeout(() => void then(request, response), ms)

/** Takes the request and never answers. */
export const silent: RequestListener = () => {}

/** A byte a second, without end. */
export const dripping: RequestListener = (_request, response) => {
  response.writeHead(200, type('text/html'))
  const timer = setInterval(() => response.write('.'), 1000)
  response.once('close', () => clearInterval(timer))
}
