import { settings } from './stand'

export const address = `http://127.0.0.1:${settings.port}`

/** What the demo's owner asks of the server. */
export class Owner {
  private headers: Record<string, string> = {}

  constructor(
    private readonly email = 'mara@tern-and-tiller.example',
    private readonly password = 'low-tide-42',
  ) {}

  async signIn(): Promise<void> {
    const answer = await fetch(`${address}/api/session`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ email: this.email, password: this.password }),
    })
    const { csrf } = (await answer.json()) as { csrf: string }
    const cookie = answer.headers.get('set-cookie')!.split(';')[0]!
    this.headers = { cookie, 'x-csrf-token': csrf }
  }
  async ask<T>(method: string, path: string, body?: unknown): Promise<T> {
    const answer = await fetch(address + path, {
      method,
      headers: body === undefined ? this.headers : { ...this.headers, 'content-type': 'application/json' },
      body: body === undefined ? undefined : JSON.stringify(body),
    })
    if (!answer.ok) throw new Error(`${method} ${path} answered ${answer.status}: ${await answer.text()}`)
    return (await answer.json()) as T
  }
}
