import { createTransport, type Transporter } from 'nodemailer'
import type { Letter } from '@pebblestrand/core/letter'

/** Where mail goes out, and as whom. */
export interface MailSettings {
  /** `smtp://` or `smtps://`, with name and password where the server wants them. */
  smtp: string
  from: string
}

export interface Outgoing extends Letter {
  to: { name: string; address: string }
  fromName: string
  replyTo: string | null
  /** So that a mail that is sent once more is known to be the same (RFC 5322, section 3.6.4). */
  messageId: string
}

/** What became of a mail. `bounced`: the server will never take it for this address (RFC 5321, section 4.2.1: 5yz). */
export type Sent = { how: 'sent' } | { how: 'bounced' | 'later'; problem: string }

/** Ms that a server may take for each step, and for a whole mail: one that gives a line now and then would take for ever. */
const WAIT = 10_000
const WHOLE = 60_000

/** Sends mail through a server. */
export class MailTransport {
  private readonly transporter: Transporter

  /** @param wholeMs that a mail may take */
  constructor(
    private readonly settings: MailSettings,
    private readonly wholeMs = WHOLE,
  ) {
    this.transporter = createTransport(settings.smtp, { from: settings.from })
    Object.assign(this.transporter.options, { connectionTimeout: WAIT, greetingTimeout: WAIT, socketTimeout: 2 * WAIT })
  }

  async send(mail: Outgoing): Promise<Sent> {
    let timer: NodeJS.Timeout | undefined
    const late = new Promise<Sent>((resolve) => {
      timer = setTimeout(() => {
        this.close()
        resolve({ how: 'later', problem: 'The mail server took too long.' })
      }, this.wholeMs)
    })
    return Promise.race([this.hand(mail), late]).finally(() => clearTimeout(timer))
  }

  private async hand({ to, fromName, replyTo, messageId, subject, text, html }: Outgoing): Promise<Sent> {
    try {
      await this.transporter.sendMail({
        from: { name: fromName, address: addressIn(this.settings.from) },
        to,
        ...(replyTo ? { replyTo } : {}),
        messageId,
        subject,
        text,
        html,
        headers: { 'Auto-Submitted': 'auto-generated' }, // RFC 3834, section 5: no holiday notes, please
        disableFileAccess: true,
        disableUrlAccess: true,
      })
      return { how: 'sent' }
    } catch (error) {
      const { responseCode, response, message } = error as Error & { responseCode?: number; response?: string }
      const isForGood = responseCode !== undefined && responseCode >= 500
      return { how: isForGood ? 'bounced' : 'later', problem: (response ?? message).slice(0, 300) }
    }
  }

  close = (): void => this.transporter.close()
}

/** Of `Name <address>`, the address. */
const addressIn = (from: string) => /<([^<>]+)>/.exec(from)?.[1] ?? from
