import { describe, expect, it } from 'vitest'
import { CHROMIUM } from './browser/chromium-path'
import { readConfig } from './config'

const url = { DATABASE_URL: 'postgres://u:p@db.example/x' }

describe('configuration from the environment', () => {
  it('has a default for everything but the database', () => {
    expect(readConfig(url)).toEqual({
      port: 4600,
      countryHeader: null,
      chromium: CHROMIUM,
      host: '127.0.0.1',
      origin: 'http://localhost:4600',
      trustProxy: 0,
      databaseUrl: url.DATABASE_URL,
      role: 'all',
      demo: true,
      services: {
        reviews: 'http://harbour-voices.localhost:4700',
        photos: 'http://isle-frames.localhost:4700',
      },
      mail: { smtp: 'smtp://127.0.0.1:4750', from: 'pebblestrand@localhost' },
      standinsPort: 4700,
      leadsKey: null,
      formAttack: 20,
    })
    expect(() => readConfig({})).toThrow(/DATABASE_URL/)
  })
  it('follows the port, unless it is told its public address; a path on it is left off', () => {
    expect(readConfig({ ...url, PEBBLESTRAND_PORT: '5000' }).origin).toBe('http://localhost:5000')
    expect(readConfig({ ...url, PEBBLESTRAND_ORIGIN: 'https://strand.example/app/' }).origin).toBe(
      'https://strand.example',
    )
  })
  it.each([
    ['PEBBLESTRAND_PORT', 'harbour'],
    ['PEBBLESTRAND_PORT', '70000'],
    ['PEBBLESTRAND_ORIGIN', 'strand'],
    ['ROLE', 'captain'],
    ['NO_DEMO', 'yes'],
    ['PEBBLESTRAND_TRUST_PROXY', 'yes'],
    ['PEBBLESTRAND_TRUST_PROXY', '10.0.0.1,proxy.example'],
  ])('names %s when it is %s', (name, value) => expect(() => readConfig({ ...url, [name]: value })).toThrow(name))
  it.each([
    ['1', 1],
    ['10.0.0.1, fd00::/8', ['10.0.0.1', 'fd00::/8']],
  ])('believes so many proxies, or those it is told: %s', (given, trustProxy) =>
    expect(readConfig({ ...url, PEBBLESTRAND_TRUST_PROXY: given })).toMatchObject({ trustProxy }),
  )
  it('opens names below localhost for the demo only', () =>
    expect(readConfig({ ...url, NO_DEMO: '1' }).demo).toBe(false))
  it('sends mail by the server that is named, in the demo by its mailbox, else not at all', () => {
    const mail = (env: object) => readConfig({ DATABASE_URL: 'postgres://x', ...env }).mail
    expect(mail({ NO_DEMO: '1' })).toBeNull()
    expect(mail({ PEBBLESTRAND_STANDINS_PORT: '5000' })!.smtp).toBe('smtp://127.0.0.1:5050')
    expect(mail({ PEBBLESTRAND_SMTP_PORT: '2525' })!.smtp).toBe('smtp://127.0.0.1:2525')
    expect(mail({ NO_DEMO: '1', PEBBLESTRAND_SMTP: 'smtps://a:b@mail.example' })!.smtp).toBe('smtps://a:b@mail.example')
    expect(() => mail({ PEBBLESTRAND_SMTP: 'http://mail.example' })).toThrow(/PEBBLESTRAND_SMTP/)
  })
})
