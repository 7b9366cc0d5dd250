import { existsSync, readFileSync } from 'node:fs'
import { simpleParser } from 'mailparser'
import { SMTPServer } from 'smtp-server'
import { writeWhole } from '../state/write-whole'

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
  readonly mails: ReceivedMail[]
  private next: number
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
          if (this.file) writeWhole(this.file, JSON.stringify(this.mails))
          callback()
        })
        .catch((error: Error) => callback(error))
    },
  })

  /** @param file where mails are kept over a restart; null for nowhere */
  constructor(private readonly file: string | null = null) {
    this.mails = file && existsSync(file) ? (JSON.parse(readFileSync(file, 'utf8')) as ReceivedMail[]) : []
    this.next = 1 + (this.mails[0]?.id ?? 0)
  }

  /** @param port 0: whichever is free */
  listen(port: number, host = '127.0.0.1'): Promise<void> {
    return new Promise((ready, fail) => {
      this.server.once('error', fail)
      this.server.listen(port, host, () => ready())
    })
  }

  close(): Promise<void> {
    return new Promise((closed) => this.server.close(() => closed()))
  }
}
