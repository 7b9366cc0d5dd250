import { Agent, fetch, type Response } from 'undici'
import { AddressRefused, checkedLookup } from './lookup'
import { Turns } from '../turns'
import { refusalOf, type Openings } from './refusal'

export const REQUESTS_PER_HOST = 2
export const LIMITS = { timeoutMs: 10_000, maxBytes: 5 * 1024 * 1024, redirects: 5, perHost: REQUESTS_PER_HOST }
const FORM = { 'content-type': 'application/x-www-form-urlencoded' }
const AGENT = 'Pebblestrand/0.1 (widget checks and feeds)'

export type OutboundProblem = 'refused' | 'timeout' | 'too-large' | 'too-many-redirects' | 'no-answer' | 'given-up'

export class OutboundError extends Error {
  constructor(
    readonly code: OutboundProblem,
    message: string,
  ) {
    super(message)
  }
}

export interface OutboundAnswer {
  url: string
  finalUrl: string
  status: number
  headers: Record<string, string>
  body: Uint8Array
  ms: number
}

/** The one way out: http and https only, every address and every redirect checked, limited in time, size and hops. */
export class Outbound {
  private readonly agent: Agent
  /** So many requests to one host at a time. */
  private readonly turns = new Turns({ each: LIMITS.perHost })

  constructor(
    private readonly openings: Openings,
    private readonly limits = LIMITS,
  ) {
    this.agent = new Agent({
      connect: { lookup: checkedLookup(openings), timeout: limits.timeoutMs },
      connections: limits.perHost,
      keepAliveTimeout: 1000,
    })
  }

  /**
   * Any status is an answer. Throws OutboundError where there is none.
   * @param until ends it when nobody waits for it any more, in line as well as on its way
   */
  async get(
    address: string,
    headers: Record<string, string> = {},
    until: AbortSignal = new AbortController().signal,
  ): Promise<OutboundAnswer> {
    try {
      return await this.follow(address, headers, until)
    } catch (error) {
      throw until.aborted
        ? new OutboundError('given-up', 'It was not waited for any longer.')
        : explained(error, address)
    }
  }

  /**
   * Sends a form, or a text of the type that `headers` says, and takes the answer as it is: what was sent is not sent on to where a
   * redirect leads. Throws as `get` does.
   */
  async post(
    address: string,
    body: URLSearchParams | string,
    headers: Record<string, string> = {},
    until: AbortSignal = new AbortController().signal,
  ): Promise<OutboundAnswer> {
    try {
      const refusal = refusalOf(address, this.openings)
      if (refusal) throw new OutboundError('refused', refusal)
      const began = performance.now()
      const signal = AbortSignal.any([AbortSignal.timeout(this.limits.timeoutMs), until])
      const sent = typeof body === 'string' ? headers : { ...headers, ...FORM }
      const request = () => this.once(address, sent, signal, body.toString())
      const answer = await this.turns.during(new URL(address).host, request, until)
      if ('next' in answer) throw new OutboundError('no-answer', 'The address leads elsewhere.')
      return { url: address, finalUrl: address, ...answer, ms: Math.round(performance.now() - began) }
    } catch (error) {
      throw explained(error, address)
    }
  }

  /** Time is counted while the site is at work, not while a request waits for its turn. */
  private async follow(address: string, headers: Record<string, string>, until: AbortSignal): Promise<OutboundAnswer> {
    let url = address
    let spent = 0
    for (let hop = 0; hop <= this.limits.redirects; hop++) {
      const refusal = refusalOf(url, this.openings)
      if (refusal) throw new OutboundError('refused', refusal)
      const { host } = new URL(url)
      const request = async () => {
        const began = performance.now()
        const timeUp = AbortSignal.timeout(Math.max(1, Math.ceil(this.limits.timeoutMs - spent)))
        const got = await this.once(url, headers, AbortSignal.any([timeUp, until]))
        spent += performance.now() - began
        return got
      }
      const answer = await this.turns.during(host, request, until)
      if (!('next' in answer)) return { url: address, finalUrl: url, ...answer, ms: Math.round(spent) }
      url = answer.next
    }
    throw new OutboundError('too-many-redirects', `The address leads on more than ${this.limits.redirects} times.`)
  }

  private async once(
    url: string,
    headers: Record<string, string>,
    signal: AbortSignal,
    body?: string,
  ): Promise<{ next: string } | { status: number; headers: Record<string, string>; body: Uint8Array }> {
    const response = await fetch(url, {
      headers: { 'user-agent': AGENT, ...headers },
      ...(body === undefined ? {} : { method: 'POST', body }),
      redirect: 'manual',
      signal,
      dispatcher: this.agent,
    })
    const location = response.headers.get('location')
    if (response.status >= 300 && response.status < 400 && location && URL.canParse(location, url)) {
      await response.body?.cancel()
      return { next: new URL(location, url).href }
    }
    return { status: response.status, headers: Object.fromEntries(response.headers), body: await this.read(response) }
  }

  private async read(response: Response): Promise<Uint8Array> {
    const parts: Uint8Array[] = []
    let size = 0
    for await (const part of response.body ?? []) {
      size += part.byteLength
      if (size > this.limits.maxBytes)
        throw new OutboundError(
          'too-large',
          `The answer is larger than ${Math.round(this.limits.maxBytes / 1024 / 1024)} MiB.`,
        )
      parts.push(part)
    }
    return Buffer.concat(parts)
  }

  async close(): Promise<void> {
    await this.agent.destroy()
  }
}

function explained(error: unknown, address: string): OutboundError {
  if (error instanceof OutboundError) return error
  const cause = error instanceof Error && error.cause instanceof Error ? error.cause : error
  if (cause instanceof AddressRefused) return new OutboundError('refused', cause.message)
  if ([error, cause].some((e) => e instanceof Error && e.name === 'TimeoutError'))
    return new OutboundError('timeout', `There was no whole answer within ${LIMITS.timeoutMs / 1000} seconds.`)
  const host = URL.canParse(address) ? new URL(address).host : address
  const code = (cause as { code?: string }).code
  const why =
    code === 'ENOTFOUND' || code === 'EAI_AGAIN'
      ? `No site is called ${host}.`
      : `${host} does not answer like a web site.` // why would tell which of its ports are open
  return new OutboundError('no-answer', why)
}
