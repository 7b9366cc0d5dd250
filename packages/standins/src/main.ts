import { join } from 'node:path'
import { standinsApp } from './app'
import { LOOPBACK } from './loopback'
import { Mailbox } from './mailbox/server'
import { Store } from './state/store'

const port = Number(process.env.PEBBLESTRAND_STANDINS_PORT ?? 4700)
/** As far above as the server looks for it. */
const mailPort = Number(process.env.PEBBLESTRAND_SMTP_PORT ?? port + 50)
const data = process.env.PEBBLESTRAND_DATA ?? '.pebblestrand'
const mailbox = new Mailbox(join(data, 'mailbox.json'))
const app = await standinsApp(new Store(join(data, 'standins.json')), mailbox)
await mailbox.listen(mailPort, LOOPBACK)
await app.listen({ port, host: LOOPBACK })
const stop = () => void Promise.all([app.close(), mailbox.close()]).then(() => process.exit(0))
for (const signal of ['SIGTERM', 'SIGINT'] as const) process.on(signal, stop)
if (process.env.PEBBLESTRAND_TIED === '1') process.stdin.resume().once('close', stop) // who started it is gone
process.stdout.write('ready\n')
