import { createServer, type AddressInfo, type Server, type Socket } from 'node:net'
import { afterAll, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest'
import { MailTransport } from '../platform/mail/transport'
import { startMailServer, type MailServer } from '../testing/mail-server'
import { startTestSystem, type TestSystem } from '../testing/system'
import { Mail } from './models'
import { queueMail } from './queue-mail'
import { sendMail, sendWaiting } from './send'

let server: MailServer
let system: TestSystem
beforeAll(async () => {
  server = await startMailServer()
  system = await startTestSystem({ PEBBLESTRAND_SMTP: server.url })
})
afterAll(async () => {
  await system.stop()
  await server.close()
})
beforeEach(() => void server.received.splice(0))

const queued = (toMail: string) =>
  system.context.db.transaction((transaction) =>
    queueMail(system.context, { kind: 'paste', toMail, subject: 'A', text: 'a', html: '<p>a' }, transaction),
  )
const later = (seconds: number) => new Date(Date.now() + seconds * 1000)

describe('a mail', () => {
  it('that ten workers would send at once goes out once', async () => {
    const { id } = await queued('once@visitor.example')
    await Promise.all(Array.from({ length: 10 }, () => sendMail(system.context, id)))
    expect(server.to('once@visitor.example')).toHaveLength(1)
    expect(await Mail.findByPk(id)).toMatchObject({ state: 'sent', tries: 1, claimedUntil: null })
  })
  it('whose worker was killed while it sent goes out once its claim is over, and not before', async () => {
    const { id } = await queued('claimed@visitor.example')
    await Mail.update({ claim: 1, claimedUntil: later(60) }, { where: { id } })
    await sendWaiting(system.context, later(10))
    expect(server.received).toEqual([])
    await Mail.update({ claimedUntil: later(-1) }, { where: { id } })
    await sendWaiting(system.context, later(10))
    expect(server.to('claimed@visitor.example')).toHaveLength(1)
  })
  it('whose worker was killed between sending and noting it goes out twice at worst, as the same mail', async () => {
    const { id } = await queued('twice@visitor.example')
    await sendMail(system.context, id)
    await Mail.update({ state: 'queued', claimedUntil: null }, { where: { id } })
    await sendWaiting(system.context, later(10))
    const ids = server.to('twice@visitor.example').map(({ messageId }) => messageId)
    expect(ids).toEqual([`<${id}@strand.example>`, `<${id}@strand.example>`])
  })
  it('that somebody else has claimed since is not written over', async () => {
    const { id } = await queued('slow@visitor.example')
    // Its claim ran out while it was being sent, and another worker has it.
    const send = vi.spyOn(MailTransport.prototype, 'send').mockImplementationOnce(async () => {
      await Mail.update({ claim: 99, problem: 'theirs' }, { where: { id } })
      return { how: 'sent' }
    })
    await sendMail(system.context, id)
    send.mockRestore()
    expect(await Mail.findByPk(id)).toMatchObject({ claim: 99, problem: 'theirs' })
  })
  it('whose job was lost goes out all the same', async () => {
    const { id } = await queued('lost@visitor.example')
    await system.context.db.query(`DELETE FROM queue.job WHERE name = 'send-mail'`)
    await sendWaiting(system.context)
    expect(server.received).toEqual([])
    await sendWaiting(system.context, later(5))
    expect((await Mail.findByPk(id))!.state).toBe('sent')
  })
  it('holds no connection of the database while a server keeps it waiting', async () => {
    const sockets: Socket[] = []
    const silent: Server = createServer((socket) => void sockets.push(socket)).listen(0, '127.0.0.1')
    await new Promise((resolve) => silent.once('listening', resolve))
    const slow = {
      ...system.context.config,
      mail: { smtp: `smtp://127.0.0.1:${(silent.address() as AddressInfo).port}`, from: 'a@b.example' },
    }
    const mails = await Promise.all(Array.from({ length: 30 }, (_, n) => queued(`silent-${n}@visitor.example`)))
    const sending = mails.map(({ id }) => sendMail({ ...system.context, config: slow }, id))
    // Three times as many as there are connections wait for it; everybody else is answered.
    for (let n = 0; n < 20; n++) await system.context.db.query('SELECT 1')
    expect(await Mail.count({ where: { state: 'queued' } })).toBeGreaterThanOrEqual(30)
    await vi.waitFor(() => expect(sockets).toHaveLength(30), { timeout: 10_000 })
    silent.close()
    sockets.forEach((socket) => socket.destroy())
    await Promise.all(sending)
    expect(await Mail.count({ where: { state: 'queued', tries: 1 } })).toBeGreaterThanOrEqual(30)
  }, 60_000)
})

it('a server that gives a line now and then is given up', async () => {
  const timers: NodeJS.Timeout[] = []
  const drip = createServer((socket) => {
    socket.write('220-drip\r\n')
    timers.push(setInterval(() => socket.write('220-still\r\n'), 50))
    socket.on('error', () => {})
  }).listen(0, '127.0.0.1')
  await new Promise((resolve) => drip.once('listening', resolve))
  const transport = new MailTransport(
    { smtp: `smtp://127.0.0.1:${(drip.address() as AddressInfo).port}`, from: 'a@b.example' },
    400,
  )
  const mail = {
    to: { name: '', address: 'a@b.example' },
    fromName: '',
    replyTo: null,
    messageId: '<1@b>',
    subject: 's',
    text: 't',
    html: 'h',
  }
  expect(await transport.send(mail)).toEqual({ how: 'later', problem: 'The mail server took too long.' })
  timers.forEach(clearInterval)
  drip.close()
})
