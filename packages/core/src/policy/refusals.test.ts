import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { additions, isEssential, readPolicies, refusals, sitePolicyOf } from '.'

const ours = 'https://strand.example'
const page = new URL('https://shop.example/jerseys')
const needs = { 'script-src': [ours], 'connect-src': [ours], 'font-src': [ours], 'img-src': [ours] }
const refused = (policy: string) => refusals(readPolicies(policy), needs, page)

// CSP Level 3: what stands in for a directive (section 6.8.3), several policies at once (3.1), nonces and strict-dynamic (6.7.1.1).
describe('what a policy refuses', () => {
  it('nothing where there is none, or all is allowed', () => {
    expect(refused('')).toEqual([])
    expect(refused("base-uri 'self'")).toEqual([])
    expect(refused('default-src https:')).toEqual([])
    expect(refused(`default-src 'self' ${ours}`)).toEqual([])
  })
  it('is named by the directive that decides, with the smallest addition', () => {
    expect(refused(`script-src 'self' https://cdn.example; connect-src ${ours}; img-src *; font-src *`)).toEqual([
      {
        policy: 0,
        kind: 'script-src',
        only: false,
        directive: 'script-src',
        sources: ["'self'", 'https://cdn.example'],
        rule: `script-src 'self' https://cdn.example ${ours}`,
        besides: null,
      },
    ])
  })
  it('stops altogether what asks for nothing else, a picture too', () => {
    const [picture] = refusals(readPolicies("img-src 'self'"), { 'img-src': [ours] }, page)
    expect(isEssential(picture!)).toBe(true)
  })
  it('is added to a directive of its own where another stands in for it', () => {
    const [script, connect] = refused("default-src 'self'")
    expect(script).toMatchObject({ directive: 'default-src', rule: `script-src 'self' ${ours}` })
    expect(connect).toMatchObject({ directive: 'default-src', rule: `connect-src 'self' ${ours}` })
  })
  it("leaves 'none' out of what it adds to", () =>
    expect(refused("script-src 'none'; default-src *")[0]!.rule).toBe(`script-src ${ours}`))
  it('each policy counts on its own', () =>
    expect(refused(`script-src ${ours}; default-src *, script-src 'self'; default-src *`)).toHaveLength(1))
  it('what a widget can do without comes last, and stops nothing', () => {
    const found = refused(`img-src 'self'; font-src 'self'; script-src 'self'; connect-src ${ours}`)
    expect(found.map(({ kind }) => kind)).toEqual(['script-src', 'font-src', 'img-src'])
    expect(found.map(isEssential)).toEqual([true, false, false])
    expect(refused("img-src 'self'").some(isEssential)).toBe(false)
  })
  it('all additions stand in one text: a policy’s own in a row, the next policy’s after a comma', () => {
    expect(additions(refused("default-src 'self'"))).toBe(
      ['script', 'connect', 'font', 'img'].map((kind) => `${kind}-src 'self' ${ours}`).join('; '),
    )
    expect(additions(refused(`script-src 'self'; connect-src *, script-src 'none'`))).toBe(
      `script-src 'self' ${ours}, script-src ${ours}`,
    )
  })
  it('says what helps where addresses count for nothing', () => {
    expect(refused("script-src 'nonce-abc' 'strict-dynamic'; default-src *")[0]!.besides).toContain('write its nonce')
    expect(refused("script-src 'sha256-abc=' 'strict-dynamic'; default-src *")[0]!.besides).toContain('hash')
    expect(refused("script-src 'nonce-abc'; default-src *")[0]!.besides).toContain('or the site writes its nonce')
  })
  // Whatever a site's policy says, with the additions it lets everything through.
  it('is all let through once the additions are made', () => {
    const source = fc.constantFrom(
      "'self'",
      "'none'",
      'https:',
      'https://cdn.example',
      '*.example',
      "'unsafe-inline'",
      'data:',
    )
    const directive = fc.constantFrom('default-src', 'script-src', 'connect-src', 'img-src', 'font-src')
    const policies = fc
      .array(fc.tuple(directive, fc.array(source, { maxLength: 3 })), { maxLength: 4 })
      .map((parts) => parts.map(([name, sources]) => [name, ...sources].join(' ')).join('; '))
    fc.assert(
      fc.property(policies, (policy) => {
        const added = refused(policy).map(({ rule }) => rule)
        const names = new Set(added.map((rule) => rule.split(' ')[0]))
        const kept = policy.split('; ').filter((part) => part && !names.has(part.split(' ')[0]))
        expect(refused([...added, ...kept].join('; '))).toEqual([])
      }),
    )
  })
})

describe('the policy of a page', () => {
  it('is the header’s, and that of the head; what only reports is apart', () => {
    const html = `<!doctype html><html><head><meta http-equiv="Content-Security-Policy" content="img-src *"></head><body><meta http-equiv="content-security-policy" content="late"></body>`
    expect(
      sitePolicyOf(
        {
          'content-security-policy': "default-src 'self'",
          'content-security-policy-report-only': "script-src 'none'",
          'permissions-policy': 'fullscreen=()',
        },
        html,
      ),
    ).toEqual({
      enforced: ["default-src 'self'", 'img-src *'],
      reported: ["script-src 'none'"],
      permissions: 'fullscreen=()',
    })
  })
  it('is nothing on a page without', () =>
    expect(sitePolicyOf({}, '<p>x')).toEqual({ enforced: [], reported: [], permissions: '' }))
})
