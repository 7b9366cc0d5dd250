import { ours } from '../site'
import { frame, framed, inline, type Incident } from './pieces'

const meta = (policy: string) => (html: string) =>
  html.replace('<title>', `<meta http-equiv="Content-Security-Policy" content="${policy}"><title>`)

export const policies: Incident[] = [
  {
    name: 'a policy against our script',
    looks: (s) => [{ headers: { 'content-security-policy': "script-src 'self'" }, html: s.with(inline) }],
    says: ['blocked'],
  },
  {
    name: 'a policy against our connection',
    looks: (s) => [
      { headers: { 'content-security-policy': `script-src ${ours}; connect-src 'self'` }, html: s.with(inline) },
    ],
    says: ['blocked'],
  },
  {
    name: 'a policy that lets us',
    looks: (s) => [
      {
        headers: { 'content-security-policy': `default-src 'self' ${ours}; style-src 'self' 'unsafe-inline'` },
        html: s.with(inline),
      },
    ],
    says: [],
  },
  {
    name: 'a policy against our frame, in the page',
    looks: (s) => [meta("frame-src 'self'")(s.with(frame))],
    plan: framed,
    says: ['blocked'],
  },
  {
    name: 'a policy on trial',
    looks: (s) => [{ headers: { 'content-security-policy-report-only': "default-src 'none'" }, html: s.with(inline) }],
    says: [],
  },
]
