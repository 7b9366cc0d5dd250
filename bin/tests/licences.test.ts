import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { noticeText, PERMISSIVE, shipped, WITH_DUTIES } from '../launch/notice.mjs'

describe('what ships', () => {
  it.each(shipped().map(({ name, version, license }) => [name, version, license]))(
    '%s %s may: %s',
    (_, __, license) => {
      expect([...PERMISSIVE, ...Object.keys(WITH_DUTIES)]).toContain(license)
    },
  )
  it('is named in NOTICE.md, each version', () => {
    const notice = readFileSync(new URL('../../NOTICE.md', import.meta.url), 'utf8')
    const named = (text: string) =>
      [...text.matchAll(/^\| (\S+) \| (\S+) \|/gm)].map(([, name, version]) => `${name} ${version}`)
    expect(named(notice)).toEqual(named(noticeText()))
  })
  it('says what LGPL, MPL and OFL ask for', () => {
    const notice = readFileSync(new URL('../../NOTICE.md', import.meta.url), 'utf8')
    for (const [licence, duty] of Object.entries(WITH_DUTIES)) expect(notice).toContain(`## ${licence}\n\n${duty}`)
  })
})
