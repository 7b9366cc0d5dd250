import { once } from 'node:events'
import type { AddressInfo } from 'node:net'
import PostalMime, { type Email } from 'postal-mime'
import { SMTPServer } from 'smtp-server'

/** A mail server that keeps what it is sent, read by a parser of another hand than the one that writes it (postal-mime). */
export interface MailServer {
  url: string
  received: { to: string[]; mail: Email }[]
  /** While it is, everything is to be sent again later. */
  away: boolean
  to(address: string): Email[]
  close(): Promise<void>
}

/** Takes mail for anybody but `nobody@…`, whom it refuses for good. */
export async function startMailServer(): Promise<MailServer> {
  const received: MailServer['received'] = []
  const server = new SMTPServer({
    disabledCommands: ['AUTH', 'STARTTLS'],
    logger: false,
    onRcptTo: ({ address }, _session, callback) => {
      const code = address.startsWith('nobody@') ? 550 : mails.away ? 451 : 0
      callback(
        code ? Object.assign(new Error(code === 550 ? 'No such mailbox' : 'Later'), { responseCode: code }) : null,
      )
    },
    onData: (stream, session, callback) => {
      const parts: Buffer[] = []
      stream.on('data', (part: Buffer) => parts.push(part))
      stream.on('end', () => {
        void PostalMime.parse(Buffer.concat(parts)).then((mail) => {
          received.push({ to: session.envelope.rcptTo.map(({ address }) => address), mail })
          callback()
        })
      })
    },
  })
  server.listen(0, '127.0.0.1')
  await once(server.server, 'listening')
  const { port } = server.server.address() as AddressInfo
  const mails: MailServer = {
    url: `smtp://127.0.0.1:${port}`,
    received,
    away: false,
    to: (address) => received.filter((one) => one.to.includes(address)).map(({ mail }) => mail),
    close: () => new Promise<void>((closed) => server.close(() => closed())),
  }
  return mails
}
