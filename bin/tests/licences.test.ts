import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { noticeText, PERMISSIVE, shipped, WITH_DUTIES } from '../launch/notice.mjs'

describe('what ships', () => {
  it('may be passed on, and we know what each asks for', () => {
    const known = [...PERMISSIVE, ...Object.keys(WITH_DUTIES)]
    expect(shipped().length).toBeGreaterThan(100)
    expect(shipped().filter(({ license }) => !known.includes(license))).toEqual([])
  })
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
