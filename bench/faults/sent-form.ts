import { address } from '../owner'

let sent = 0

/** Sends a form as a visitor of an address of their own does. @returns the status; 0 where nobody answered */
export async function sendForm(path: string, fields: Record<string, string>): Promise<number> {
  const n = sent++
  const body = new URLSearchParams({ _key: `key-of-a-fault-${Date.now()}-${n}`, _took: '9000', _page: '/', ...fields })
  try {
    const answer = await fetch(address + path, {
      method: 'POST',
      headers: { accept: 'application/json', 'x-forwarded-for': `10.9.${(n >> 8) & 255}.${n & 255}` },
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
  const answer = await fetch(`http://127.0.0.1:${standinsPort}/mails.json?to=${encodeURIComponent(to)}`, {
    headers: { host: `mailbox.localhost:${standinsPort}` },
  })
  return (await answer.json()) as { text: string; subject: string }[]
}
