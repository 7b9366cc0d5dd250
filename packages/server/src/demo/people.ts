/** The demo's agency and accounts; printed at the start, and only ever made on an empty database. */
export const agency = 'Tern & Tiller Web Care'

export const people = [
  { email: 'mara@tern-and-tiller.example', name: 'Mara Rask', role: 'owner', password: 'low-tide-42' },
  { email: 'jory@tern-and-tiller.example', name: 'Jory Quill', role: 'member', password: 'high-tide-24' },
] as const
