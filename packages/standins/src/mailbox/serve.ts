import type { FastifyReply, FastifyRequest } from 'fastify'
import { escape } from '../html'
import type { Mailbox, ReceivedMail } from './server'

export const mailboxHost = 'mailbox'

const page = (title: string, body: string) => `<!doctype html><html lang="en"><meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1"><title>${escape(title)}</title>
<style>body{margin:0 auto;max-width:880px;padding:24px;background:#eef1ee;color:#22302c;font:16px/1.5 Georgia,serif}table{width:100%;border-collapse:collapse}td{padding:8px 10px 8px 0;border-top:1px solid #b9c4bd;vertical-align:top}a{color:#22302c}iframe{width:100%;height:560px;border:1px solid #b9c4bd;background:#fff}pre{white-space:pre-wrap;padding:12px;background:#fff;border:1px solid #b9c4bd}dt{float:left;width:80px;color:#5d6b64}dd{margin:0 0 4px 80px}</style>
<h1>${escape(title)}</h1>${body}</html>`

const list = (mails: readonly ReceivedMail[]) =>
  page(
    'Mail that was sent on the isles',
    mails.length
      ? `<table>${mails
          .map(
            ({ id, at, to, subject }) =>
              `<tr><td>${escape(at.slice(0, 16).replace('T', ' '))}</td><td>${escape(to)}</td><td><a href="/mails/${id}">${escape(subject)}</a></td></tr>`,
          )
          .join('')}</table>`
      : '<p>Nothing has come in yet.</p>',
  )

const one = ({ at, to, from, replyTo, subject, text, html }: ReceivedMail) =>
  page(
    subject,
    `<p><a href="/">All mail</a></p><dl><dt>To</dt><dd>${escape(to)}</dd><dt>From</dt><dd>${escape(from)}</dd><dt>Reply to</dt><dd>${escape(replyTo)}</dd><dt>At</dt><dd>${escape(at)}</dd></dl>
<iframe title="As HTML" sandbox="allow-popups allow-popups-to-escape-sandbox allow-top-navigation-by-user-activation" srcdoc="${escape(html.replace('<head>', '<head><base target="_top">'))}"></iframe>
<h2>As plain text</h2><pre>${escape(text)}</pre>`,
  )

/** The mailbox to look into: a list, one mail, and all of it as JSON, for whoever an address is given. */
export function serveMailbox(mailbox: Mailbox, request: FastifyRequest, reply: FastifyReply): FastifyReply {
  const { pathname, searchParams } = new URL(request.url, 'http://mailbox.localhost')
  if (pathname === '/mails.json') {
    const to = searchParams.get('to')?.toLowerCase()
    return reply.send(mailbox.mails.filter((mail) => !to || mail.to.toLowerCase().includes(to)))
  }
  const html = (body: string, status = 200) => reply.code(status).type('text/html; charset=utf-8').send(body)
  if (pathname === '/') return html(list(mailbox.mails))
  const mail = mailbox.mails.find(({ id }) => pathname === `/mails/${id}`)
  return mail ? html(one(mail)) : html(page('This mail is not here', '<p><a href="/">All mail</a></p>'), 404)
}
