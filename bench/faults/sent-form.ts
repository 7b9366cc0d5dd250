import { request } from 'undici'
import { address } from '../owner'

let sent = 0

/** Sends a form as a visitor in a network of their own does. @returns the status; 0 where nobody answered */
export async function sendForm(path: string, fields: Record<string, string>): Promise<number> {
  const n = sent++
  const body = new URLSearchParams({ _key: `key-of-a-fault-${Date.now()}-${n}`, _took: '9000', _page: '/', ...fields })
  try {
    const answer = await fetch(address + path, {
      method: 'POST',
      headers: { accept: 'application/json', 'x-forwarded-for': `10.${n & 255}.${(n >> 8) & 255}.1` },
      body,
    })
    await answer.text()
    return answer.status
  } catch {
    return 0
  }
}

/** Mails that the simulated mailbox has for an address. */
export async function mailsTo(to: string, standinsPort: number): Promise<{ text: string; subject: string }[]> {
  const { body } = await request(`http://127.0.0.1:${standinsPort}/mails.json?to=${encodeURIComponent(to)}`, {
    headers: { host: `mailbox.localhost:${standinsPort}` },
  })
  return (await body.json()) as { text: string; subject: string }[]
}
