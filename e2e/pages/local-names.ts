// Outside the browser, too, `localhost` and every name below it lead to this worker's system.
import dns from 'node:dns'
import { settings } from './settings'

const isLocal = (name: unknown) => typeof name === 'string' && /(^|\.)localhost$/.test(name)
const { lookup } = dns
const inPromises = dns.promises.lookup

dns.lookup = ((name: string, ...rest: Parameters<typeof lookup> extends [string, ...infer R] ? R : never) =>
  (lookup as (...all: unknown[]) => void)(isLocal(name) ? settings.loopback : name, ...rest)) as typeof lookup
dns.promises.lookup = ((name: string, ...rest: unknown[]) =>
  (inPromises as (...all: unknown[]) => unknown)(
    isLocal(name) ? settings.loopback : name,
    ...rest,
  )) as typeof inPromises
