import { randomBytes } from 'node:crypto'
import { availableParallelism } from 'node:os'
import type { Browser, BrowserContext } from 'playwright-core'
import { Turns } from '../turns'
import { isThere, launch } from './launch'
import { BrowserProxy, type ProxyOptions } from './proxy'

/** Two at once where there are cores left for everyone else; so many as the environment says where there is nobody else. */
const atOnce = Number(process.env.PEBBLESTRAND_LOOKS_AT_ONCE) || (availableParallelism() > 2 ? 2 : 1)
/** What one visit may take: of a page that is loaded three times. */
export const VISIT = { atOnce, ms: 45_000, bytes: 60 * 1024 * 1024, requests: 1500 }

export interface Visit {
  context: BrowserContext
  /** Whether it has been cut off for taking too much. */
  isSpent(): boolean
}

/** There is no browser to look with: it does not start, or is being closed. */
export class BrowserAway extends Error {
  constructor(
    message: string,
    /** Everything ends: what was to be looked at is looked at after the next start. */
    readonly closing = false,
  ) {
    super(message)
  }
}

/** One browser for all, started when it is first needed and anew after it crashed. So many visits at a time, each in a context of its own. */
export class BrowserPool {
  private readonly turns = new Turns({ each: VISIT.atOnce })
  private readonly proxy: BrowserProxy
  private proxyAt: Promise<string> | null = null
  private browser: Promise<Browser> | null = null
  private closed = false

  private constructor(
    private readonly path: string,
    options: ProxyOptions,
    private readonly limits: typeof VISIT,
  ) {
    this.proxy = new BrowserProxy(options)
  }

  /** Null where there is no browser: what needs one is then left out, and said. */
  static at(path: string, options: ProxyOptions, limits = VISIT): BrowserPool | null {
    return isThere(path) ? new BrowserPool(path, options, limits) : null
  }

  /**
   * Gives a fresh context to `see`, and takes it away again whatever happens.
   * @throws BrowserAway where there is none
   */
  visit<T>(see: (visit: Visit) => Promise<T>): Promise<T> {
    return this.turns.during('browser', () => this.inContext(see))
  }

  private async inContext<T>(see: (visit: Visit) => Promise<T>): Promise<T> {
    if (this.closed) throw new BrowserAway('The browser is being closed.', true)
    await this.running()
    const [name, secret] = [randomBytes(9).toString('hex'), randomBytes(18).toString('hex')]
    const { bytes, requests, ms } = this.limits
    const pass = this.proxy.admit(name, secret, { bytes, requests })
    const signal = AbortSignal.timeout(ms)
    let context: BrowserContext | null = null
    try {
      context = await this.freshContext({ server: await this.proxyAt!, username: name, password: secret })
      await context.addInitScript(openNothing)
      return await untilAborted(see({ context, isSpent: pass.isSpent }), signal)
    } catch (error) {
      if (this.closed) throw new BrowserAway('The browser is being closed.', true)
      throw error
    } finally {
      pass.end()
      await context?.close().catch(() => {})
    }
  }

  /** One that was killed a moment ago may not be known to be gone until it is asked for something: it is started anew, once. */
  private async freshContext(proxy: { server: string; username: string; password: string }): Promise<BrowserContext> {
    const options = {
      proxy,
      acceptDownloads: false,
      serviceWorkers: 'block',
      reducedMotion: 'reduce',
      ignoreHTTPSErrors: false,
    } as const
    const browser = await this.running()
    const started = this.browser
    try {
      return await browser.newContext({ ...options, permissions: [] })
    } catch (error) {
      if (this.closed || !/has been closed|disconnected|crashed/i.test(String(error))) throw error
      await browser.close().catch(() => {})
      if (this.browser === started) this.browser = null // else somebody else has started the next
      return (await this.running()).newContext({ ...options, permissions: [] })
    }
  }

  private async running(): Promise<Browser> {
    this.proxyAt ??= this.proxy.listen()
    const proxy = await this.proxyAt
    this.browser ??= launch(this.path, proxy)
    try {
      const browser = await this.browser
      if (browser.isConnected()) return browser
    } catch (error) {
      this.browser = null
      throw new BrowserAway(
        `The browser does not start: ${error instanceof Error ? error.message.split('\n')[0] : error}`,
      )
    }
    this.browser = null
    return this.running()
  }

  async close(): Promise<void> {
    this.closed = true
    const browser = await this.browser?.catch(() => null)
    await browser?.close().catch(() => {})
    if (this.proxyAt) await this.proxy.close()
  }
}

/**
 * In a page, before anything of its own: windows that it opens by itself are refused, as browsers refuse them to visitors who have pressed
 * nothing, and there is nothing to print on.
 */
function openNothing(): void {
  window.open = () => null
  window.print = () => {}
}

function untilAborted<T>(work: Promise<T>, signal: AbortSignal): Promise<T> {
  return new Promise<T>((resolve, reject) => {
    const give = () => reject(new Error('The page was not through in time.'))
    if (signal.aborted) return give()
    signal.addEventListener('abort', give, { once: true })
    work.then(resolve, reject)
  })
}
