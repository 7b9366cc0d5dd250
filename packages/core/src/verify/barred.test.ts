import { describe, expect, it } from 'vitest'
import { methods, type MethodId } from '../methods'
import type { Look } from './look'
import { Plan } from './plan'
import { verify } from './verify'

// What a page's policy lets a press open: CSP Level 3, frame-src with its fallbacks (section 6.1).

const origin = 'https://strand.example'
const install = 'pk7h2-mq9xv-abcde'
const url = 'https://ferries.example/films'
const judged = (policy: string, method: MethodId = 'inline') => {
  const text = methods[method].text({ origin, publicId: install, name: 'F', agency: 'T', width: 300, height: 200 })
  const look: Look = {
    how: 'served',
    url,
    finalUrl: url,
    status: 200,
    headers: { 'content-type': 'text/html', 'content-security-policy': policy },
    html: `<!DOCTYPE html><title>Films</title><main><h1>Films</h1>${text}</main>`,
    at: '2026-11-26T12:00:00Z',
    ms: 9,
    error: null,
  }
  const plan = Plan.parse({
    install,
    origin,
    method,
    url,
    placement: { region: 'main', width: 900 },
    players: ['https://play.example'],
  })
  return verify(plan, [look]).findings.map(({ code, remedy }) => [code, remedy])
}
const ours = `script-src ${origin}; connect-src ${origin}; style-src 'unsafe-inline'; font-src ${origin}; img-src ${origin}`

describe('a player that a press opens', () => {
  it.each(['', ours, `${ours}; frame-src https://play.example`, `${ours}; frame-src https:`])(
    'is let through by %j',
    (policy) => expect(judged(policy)).toEqual([]),
  )
  it.each([
    [`${ours}; frame-src 'none'`, 'frame-src https://play.example'],
    [`${ours}; frame-src https://maps.example`, 'frame-src https://maps.example https://play.example'],
    [`default-src 'self'; ${ours}`, "frame-src 'self' https://play.example"],
  ])('is stopped by %j, and the rule that lets it through is said', (policy, rule) =>
    expect(judged(policy)).toEqual([['blocked', expect.stringContaining(rule)]]),
  )
  it('in a frame of ours is not the page’s to allow', () => expect(judged(`frame-src ${origin}`, 'frame')).toEqual([]))
})
