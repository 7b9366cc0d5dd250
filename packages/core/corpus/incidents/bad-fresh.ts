import { at, bare, inline, leaving, type Incident } from './pieces'

export const badFresh: Incident[] = [
  {
    name: 'past the cache led to a sign-in',
    looks: (s) => [
      s.with(inline),
      { finalUrl: `${at}/login`, html: bare('Log in', '<form><input type="password"></form>') },
    ],
    says: [],
  },
  { name: 'past the cache empty', looks: (s) => [s.with(inline), ''], says: [] },
  {
    name: 'past the cache redirected',
    looks: (s) => [s.with(inline), { finalUrl: `${at}/`, html: s.empty }],
    says: [],
  },
  {
    name: 'past the cache a question to robots',
    looks: (s) => [s.with(inline), bare('Just a moment...', '<p>Checking your browser</p>')],
    says: [],
  },
  { name: 'past the cache an error', looks: (s) => [s.with(inline), { status: 500, html: 'x' }], says: [] },
  {
    name: 'to be gone, gone as served, an error past the cache',
    looks: (s) => [s.empty, { status: 503, html: '' }],
    plan: leaving,
    says: [],
  },
]
