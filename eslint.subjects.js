// The order of the server's subjects (packages/server/src/subjects.ts): each imports only those above it. A breach fails the build.
import { readFileSync } from 'node:fs'

const server = 'packages/server/src'

/** `siteTags` stands in the folder `site-tags`. */
const folderOf = (name) => name.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`)

/** Folders in their order, the lowest floor first. `looks/` serves several subjects and has no routes or tables of its own. */
const text = readFileSync(new URL(`${server}/subjects.ts`, import.meta.url), 'utf8')
const listed = /subjects: readonly Subject\[\] = \[([^\]]*)\]/.exec(text)[1]
export const order = ['looks', ...[...listed.matchAll(/\w+/g)].map(([name]) => folderOf(name))]

const forbid = (files, later) => ({
  files,
  ignores: ['**/*.test.ts'],
  rules: {
    '@typescript-eslint/no-restricted-imports': [
      'error',
      {
        patterns: [
          {
            regex: `^(\\.\\./)+(${later.join('|')})/`,
            message:
              'A subject imports only those above it in subjects.ts: let the lower one bring what it knows (subject.ts).',
          },
        ],
      },
    ],
  },
})

export const subjectOrder = order
  .slice(0, -1)
  .map((folder, at) => forbid([`${server}/${folder}/**/*.ts`], order.slice(at + 1)))
