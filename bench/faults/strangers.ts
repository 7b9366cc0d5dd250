import { connect } from 'node:net'
import { address, Owner } from '../owner'
import { settings } from '../stand'
import { timed, type Ground } from './ground'

const json = { 'content-type': 'application/json' }

/** What anybody can send without an account. */
export default async function strangers(ground: Ground): Promise<void> {
  const body = `{"a":${'['.repeat(500_000)}${']'.repeat(500_000)}}`
  const [refused, ms] = await timed(() => fetch(`${address}/api/session`, { method: 'POST', headers: json, body }))
  ground.note(
    'a megabyte of nested arrays from a stranger',
    `${refused.status} in ${ms} ms`,
    refused.status === 400 && ms < 1000,
  )

  const [closed, waited] = await timed(
    () =>
      new Promise<boolean>((resolve) =>
        connect(settings.port, '127.0.0.1')
          .once('close', () => resolve(true))
          .resume(),
      ),
  )
  ground.note('a connection that says nothing', `closed after ${waited} ms`, closed && waited < 20_000)

  // Not whom the other faults sign in as again and again.
  const [email, password] = ['jory@tern-and-tiller.example', 'high-tide-24']
  const jory = new Owner(email, password)
  await jory.signIn()
  const guess = async (n: number, guessed: string) => {
    const answer = await fetch(`${address}/api/session`, {
      method: 'POST',
      headers: { ...json, 'x-forwarded-for': `198.51.100.${n}` },
      body: JSON.stringify({ email, password: guessed }),
    })
    return answer.status
  }
  const statuses: number[] = []
  for (let n = 1; n <= 80; n++) statuses.push(await guess(n, n === 80 ? password : `guess number ${n}`))
  const tried = statuses.filter((status) => status === 401 || status === 400).length
  const known = await jory.ask<{ user: object | null }>('GET', '/api/session')
  ground.note(
    '80 guesses at one password from 80 addresses, the last of them right',
    `${tried} were tried, the right one got ${statuses.at(-1)}; whoever was signed in ${known.user ? 'still is' : 'is not any more'}`,
    tried <= 40 && statuses.at(-1) === 429 && known.user !== null,
  )
}
