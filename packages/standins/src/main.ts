import { join } from 'node:path'
import { standinsApp } from './app'
import { Mailbox } from './mailbox/server'
import { Store } from './state/store'

/** Several whole systems on one machine have the same ports at addresses of their own. */
const host = process.env.PEBBLESTRAND_LOOPBACK ?? '127.0.0.1'
const port = Number(process.env.PEBBLESTRAND_STANDINS_PORT ?? 4700)
/** As far above as the server looks for it. */
const mailPort = Number(process.env.PEBBLESTRAND_SMTP_PORT ?? port + 50)
const data = process.env.PEBBLESTRAND_DATA ?? '.pebblestrand'
const mailbox = new Mailbox(join(data, 'mailbox.json'))
const app = await standinsApp(new Store(join(data, 'standins.json')), mailbox)
await mailbox.listen(mailPort, host)
await app.listen({ port, host })
const stop = () => void Promise.all([app.close(), mailbox.close()]).then(() => process.exit(0))
for (const signal of ['SIGTERM', 'SIGINT'] as const) process.on(signal, stop)
if (process.env.PEBBLESTRAND_TIED === '1') process.stdin.resume().once('close', stop) // who started it is gone
process.stdout.write('ready\n')
