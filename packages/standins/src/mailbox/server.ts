import { simpleParser } from 'mailparser'
import { SMTPServer } from 'smtp-server'

/** A mail that came in. */
export interface ReceivedMail {
  id: number
  at: string
  to: string
  from: string
  replyTo: string
  subject: string
  text: string
  html: string
}

/** How many are kept; the oldest go. */
const MOST = 500

/** What became of addresses that begin so: as mail servers in the field answer. */
const refusals: Record<string, { code: number; says: string }> = {
  nobody: { code: 550, says: 'No such mailbox here' },
  full: { code: 552, says: 'Mailbox full' },
  busy: { code: 451, says: 'Try again later' },
}

/** A mail server for whoever the simulated clients are: it takes mail for anybody, and sends none on. */
export class Mailbox {
  readonly mails: ReceivedMail[] = []
  private next = 1
  private readonly server = new SMTPServer({
    disabledCommands: ['AUTH', 'STARTTLS'],
    size: 1_000_000,
    logger: false,
    onRcptTo: ({ address }, _session, callback) => {
      const refusal = refusals[address.split('@')[0]!.toLowerCase()]
      callback(refusal ? Object.assign(new Error(refusal.says), { responseCode: refusal.code }) : null)
    },
    onData: (stream, session, callback) => {
      simpleParser(stream)
        .then((mail) => {
          this.mails.unshift({
            id: this.next++,
            at: new Date().toISOString(),
            to: session.envelope.rcptTo.map(({ address }) => address).join(', '),
            from: mail.from?.text ?? '',
            replyTo: mail.replyTo?.text ?? '',
            subject: mail.subject ?? '',
            text: mail.text ?? '',
            html: mail.html || '',
          })
          this.mails.splice(MOST)
          callback()
        })
        .catch((error: Error) => callback(error))
    },
  })

  /** @param port 0: whichever is free */
  listen(port: number): Promise<void> {
    return new Promise((ready, fail) => {
      this.server.once('error', fail)
      this.server.listen(port, '127.0.0.1', () => ready())
    })
  }

  close(): Promise<void> {
    return new Promise((closed) => this.server.close(() => closed()))
  }
}
