import { z } from 'zod'
import { request } from 'undici'
import { LOOPBACK } from '../platform/outbound/loopback'

const Sites = z.object({
  sites: z.array(
    z.object({
      host: z.string(),
      name: z.string(),
      platform: z.string(),
      cacheMinutes: z.number(),
      pages: z.array(z.object({ path: z.string(), title: z.string(), preview: z.string() })),
      theme: z.object({
        heading: z.string(),
        body: z.string(),
        ink: z.string(),
        ground: z.string(),
        accent: z.string(),
        contentWidth: z.number(),
        sidebarWidth: z.number(),
      }),
      fonts: z.array(z.object({ family: z.string(), weight: z.string(), path: z.string() })),
    }),
  ),
})
export type StandInSite = z.infer<typeof Sites>['sites'][number]

export type Trouble =
  | { kind: 'moved'; to: string }
  | { kind: 'error'; status: number }
  | { kind: 'wall' }
  | { kind: 'policy'; policy: string }

/** The simulated sites' editing desks, used the way a person does: signed in, by their forms. */
export class Desks {
  private readonly cookies = new Map<string, string>()

  constructor(private readonly port: number) {}

  siteOrigin = (host: string) => `http://${host}.localhost:${this.port}`

  async sites(): Promise<StandInSite[]> {
    const answer = await this.ask('GET', 'standins', '/standins/sites')
    return Sites.parse(await answer.body.json()).sites
  }

  reset = () => this.ask('POST', 'standins', '/standins/reset', { json: {} })
  trouble = (host: string, path: string, trouble: Trouble | null) =>
    this.ask('POST', host, '/standins/trouble', { json: { path, trouble } })
  visit = (host: string, path: string) => this.ask('GET', host, path)
  /** What its owner has set at the desk. */
  set = (host: string, settings: Record<string, string>) => this.post(host, '/desk/settings', settings)
  emptyCache = (host: string) => this.post(host, '/desk/cache', {})
  save = (host: string, path: string, boxes: Record<string, string>) =>
    this.post(host, `/desk/page?path=${encodeURIComponent(path)}`, { ...boxes, do: 'save' })
  publish = (host: string, path: string, boxes: Record<string, string>) =>
    this.post(host, `/desk/page?path=${encodeURIComponent(path)}`, { ...boxes, do: 'publish' })

  private async post(host: string, path: string, form: Record<string, string>) {
    if (!this.cookies.has(host)) await this.signIn(host)
    return this.ask('POST', host, path, { form })
  }

  private async signIn(host: string): Promise<void> {
    const answer = await this.ask('POST', host, '/desk/sign-in', {
      form: { name: 'editor', password: 'island', then: '/desk' },
    })
    const cookie = [answer.headers['set-cookie'] ?? []].flat()[0]?.split(';')[0]
    if (!cookie) throw new Error(`The desk of ${host} did not let the demo in.`)
    this.cookies.set(host, cookie)
  }

  private async ask(
    method: 'GET' | 'POST',
    host: string,
    path: string,
    body: { form?: Record<string, string>; json?: unknown } = {},
  ) {
    const type = body.form ? 'application/x-www-form-urlencoded' : body.json ? 'application/json' : undefined
    const answer = await request(`http://${LOOPBACK}:${this.port}${path}`, {
      method,
      headers: {
        host: `${host}.localhost:${this.port}`,
        ...(type ? { 'content-type': type } : {}),
        ...(method === 'POST' && this.cookies.has(host) ? { cookie: this.cookies.get(host)! } : {}),
      },
      body: body.form ? new URLSearchParams(body.form).toString() : body.json ? JSON.stringify(body.json) : undefined,
    })
    if (answer.statusCode >= 400) throw new Error(`${host}${path} answered ${answer.statusCode}.`)
    if (method === 'POST' || host !== 'standins') await answer.body.dump()
    return answer
  }
}
