import { createServer, request as ask, type IncomingMessage, type Server, type ServerResponse } from 'node:http'
import { connect, type AddressInfo, type Socket } from 'node:net'
import type { Duplex } from 'node:stream'
import { checkedLookup } from '../outbound/lookup'
import { refusalOf, type Openings } from '../outbound/refusal'

/** What one look may take through the proxy. */
export interface Allowance {
  bytes: number
  requests: number
}

/** One look's way out; what it asked for beyond its allowance is cut off. */
interface Pass {
  left: Allowance
  sockets: Set<Duplex>
}

export interface ProxyOptions {
  openings: Openings
  /** Where this Pebblestrand itself answers: reached whatever its address is. */
  own: string
}

/** Our own address is reached wherever it leads. */
const EVERYWHERE: Openings = { localhostNames: true, privateAddresses: true }

/**
 * The browser's only way out: addresses are checked as those of every other request are, when they are asked for and again
 * when they are connected to. Who has no pass is not served.
 */
export class BrowserProxy {
  private readonly passes = new Map<string, Pass>()
  private readonly server: Server

  constructor(private readonly options: ProxyOptions) {
    this.server = createServer((request, response) => this.plain(request, response))
    this.server.on('connect', (request, socket, head) => this.tunnel(request, socket, head))
    this.server.on('upgrade', (_request, socket) => socket.destroy())
    this.server.on('clientError', (_error, socket) => socket.destroy())
  }

  async listen(): Promise<string> {
    await new Promise<void>((resolve) => this.server.listen(0, '127.0.0.1', resolve))
    return `http://127.0.0.1:${(this.server.address() as AddressInfo).port}`
  }

  /** Lets a look through, by its name and secret, until `end`. */
  admit(name: string, secret: string, allowance: Allowance): { end(): void; isSpent(): boolean } {
    const key = `${name}:${secret}`
    const pass: Pass = { left: { ...allowance }, sockets: new Set() }
    this.passes.set(key, pass)
    return {
      isSpent: () => pass.left.bytes <= 0 || pass.left.requests <= 0,
      end: () => {
        this.passes.delete(key)
        for (const socket of pass.sockets) socket.destroy()
      },
    }
  }

  async close(): Promise<void> {
    this.server.closeAllConnections()
    await new Promise<void>((resolve) => this.server.close(() => resolve()))
  }

  private passOf(request: IncomingMessage): Pass | null {
    const [scheme, given] = (request.headers['proxy-authorization'] ?? '').split(' ')
    if (scheme?.toLowerCase() !== 'basic' || !given) return null
    return this.passes.get(Buffer.from(given, 'base64').toString()) ?? null
  }

  /** Why an address is not gone to; null where it is. */
  private refusal(address: string): string | null {
    if (new URL(address).origin === this.options.own) return null
    return refusalOf(address, this.options.openings)
  }

  private lookup = (address: string) =>
    checkedLookup(new URL(address).origin === this.options.own ? EVERYWHERE : this.options.openings)

  private plain(request: IncomingMessage, response: ServerResponse): void {
    const pass = this.passOf(request)
    if (!pass) return void response.writeHead(407, { 'proxy-authenticate': 'Basic realm="look"' }).end()
    const address = request.url ?? ''
    if (!URL.canParse(address) || this.refusal(address) || --pass.left.requests < 0)
      return void response.writeHead(403, { 'x-refused': '1' }).end()
    const url = new URL(address)
    const { 'proxy-authorization': _a, 'proxy-connection': _b, ...headers } = request.headers
    const outgoing = ask(
      {
        host: url.hostname.replace(/^\[|\]$/g, ''),
        port: url.port || 80,
        path: url.pathname + url.search,
        method: request.method,
        headers: { ...headers, host: url.host, connection: 'close' },
        lookup: this.lookup(address),
        timeout: 15_000,
      },
      (answer) => {
        response.writeHead(answer.statusCode ?? 502, answer.headers)
        answer.on('data', (part: Buffer) => this.count(pass, part, outgoing.socket))
        answer.pipe(response)
      },
    )
    outgoing.on('socket', (socket) => this.keep(pass, socket))
    outgoing.on('timeout', () => outgoing.destroy())
    outgoing.on('error', () => (response.headersSent ? response.destroy() : response.writeHead(502).end()))
    response.on('close', () => outgoing.destroy())
    request.pipe(outgoing)
  }

  /** For https: bytes go through as they are. */
  private tunnel(request: IncomingMessage, client: Duplex, head: Buffer): void {
    client.on('error', () => client.destroy())
    const pass = this.passOf(request)
    if (!pass)
      return void client.end(
        'HTTP/1.1 407 Proxy Authentication Required\r\nProxy-Authenticate: Basic realm="look"\r\n\r\n',
      )
    const address = `https://${request.url}`
    if (!URL.canParse(address) || this.refusal(address) || --pass.left.requests < 0)
      return void client.end('HTTP/1.1 403 Forbidden\r\n\r\n')
    const { hostname, port } = new URL(address)
    const there = connect({
      host: hostname.replace(/^\[|\]$/g, ''),
      port: Number(port || 443),
      lookup: this.lookup(address),
    })
    there.setTimeout(20_000, () => there.destroy())
    there.on('connect', () => {
      client.write('HTTP/1.1 200 Connection Established\r\n\r\n')
      there.write(head)
      there.on('data', (part: Buffer) => this.count(pass, part, there))
      there.pipe(client)
      client.pipe(there)
    })
    there.on('error', () => client.end('HTTP/1.1 502 Bad Gateway\r\n\r\n'))
    there.on('close', () => client.destroy())
    client.on('close', () => there.destroy())
    this.keep(pass, there)
    this.keep(pass, client)
  }

  private keep(pass: Pass, socket: Duplex): void {
    pass.sockets.add(socket)
    socket.on('close', () => pass.sockets.delete(socket))
  }

  private count(pass: Pass, part: Buffer, socket: Socket | Duplex | null): void {
    pass.left.bytes -= part.length
    if (pass.left.bytes < 0) socket?.destroy()
  }
}
