import { tokenize, TokenType } from '@csstools/css-tokenizer'
import { testCorpus } from '@rmenke/css-tokenizer-tests'
import fc from 'fast-check'
import postcss from 'postcss'
import { eachTest } from 'postcss-parser-tests'
import { describe, expect, it } from 'vitest'
import { atRules, functions } from './allowed'
import { hostile } from './hostile.samples'
import { scopeCss } from './scope'

const wish = { parts: ['widget', 'title', 'item', 'button'], overPage: false }
const scope = (css: string, more = {}) => scopeCss(css, { ...wish, ...more })

/** What must hold of anything that comes back, read by parsers that had no part in it (csstools' tokenizer, postcss). */
function expectHarmless(css: string): void {
  expect(css).not.toContain('</')
  for (const [type, text, , , value] of tokenize({ css })) {
    expect([TokenType.URL, TokenType.BadURL, TokenType.BadString, TokenType.CDO, TokenType.CDC], text).not.toContain(
      type,
    )
    if (type === TokenType.AtKeyword) expect(atRules).toContain((value as { value: string }).value.toLowerCase())
  }
  const root = postcss.parse(css)
  root.walkDecls(({ value }) => {
    for (const [type, , , , token] of tokenize({ css: value }))
      if (type === TokenType.Function) expect(functions).toContain((token as { value: string }).value.toLowerCase())
  })
  root.walkRules((rule) => {
    const inKeyframes = rule.parent?.type === 'atrule' && (rule.parent as postcss.AtRule).name.endsWith('keyframes')
    let at: postcss.Container | undefined | postcss.Document = rule.parent as postcss.Container
    let isNested = false
    for (; at && at.type !== 'root'; at = at.parent as postcss.Container) if (at.type === 'rule') isNested = true
    if (!inKeyframes && !isNested)
      for (const selector of rule.selectors) expect(selector.startsWith(':host '), selector).toBe(true)
  })
}

describe('own CSS', () => {
  it.each([
    ['a{color:red}', ':host a:not(#\\_){color:red}'],
    ['::part(title){font-weight:400}', ':host :not(#\\_)[part~="title"]{font-weight:400}'],
    [
      '::part(title):hover a, .x > b {margin:0}',
      ':host :not(#\\_)[part~="title"]:hover a,:host :not(#\\_).x>b{margin:0}',
    ],
    [
      '@media (width<600px){::part(item){padding:4px}}',
      '@media (width<600px){:host :not(#\\_)[part~="item"]{padding:4px}}',
    ],
    ['@container (width>300px){p{margin:0}}', '@container (width>300px){:host p:not(#\\_){margin:0}}'],
    [
      '.a{color:red;&:hover{color:blue}& .b{top:1px}}',
      ':host :not(#\\_).a{color:red;&:hover{color:blue}& .b{top:1px}}',
    ],
    ['.a{@media print{color:red}}', ':host :not(#\\_).a{@media print{color:red}}'],
    ['@keyframes x{from{opacity:0}50%{opacity:.4}}', '@keyframes x{from{opacity:0}50%{opacity:.4}}'],
    ['a{--mine:2px;padding:var(--mine)}', ':host a:not(#\\_){--mine:2px;padding:var(--mine)}'],
    ['/* only words */', ''],
    ['', ''],
  ])('%s', (given, wanted) => expect(scope(given)).toEqual({ css: wanted, notes: [] }))

  it.each([
    ['a{background:url(https://x.example/a.png)}', 1, 'taken-out', 'load something from elsewhere'],
    ['\n@import "x.css";', 2, 'taken-out', 'load another sheet'],
    [':host{position:fixed}', 1, 'taken-out', 'reaches out of the widget'],
    ['body{margin:0}', 1, 'taken-out', 'no element of the widget'],
    ['::part(nothing){top:0}', 1, 'taken-out', 'has no part “nothing”; its parts are widget, title, item, button'],
    ['a{color:red;;colr:blue}', 1, 'unknown', '“colr” is no property'],
    ['a{color:12px}', 1, 'unknown', 'takes no such value'],
    ['a{color:red\nb{', 2, 'mistake', 'cannot be read here'],
    ['a{width:expression(alert(1))}', 1, 'taken-out', '“expression()”'],
    ['& b{top:0}', 1, 'taken-out', '“&” stands in no other rule'],
  ])('%s: said at line %d', (given, line, kind, says) => {
    const { notes } = scope(given)
    expect(notes.map((note) => ({ line: note.line, kind: note.kind, says: note.says }))).toContainEqual({
      line,
      kind,
      says: expect.stringContaining(says) as string,
    })
  })
  it('leaves what stands beside a mistake', () => {
    // A brace too many spoils the rule after it (CSS Syntax 3, section 5.4.3), and that alone.
    const { css } = scope('a{color:red}\nb{background:url(x)}\n}}}\nlost{top:0}\nc{color:blue}')
    expect(css).toContain('a:not(#\\_){color:red}')
    expect(css).toContain('c:not(#\\_){color:blue}')
    expect(css).not.toContain('url')
  })
  it('over the page it decides neither where nor how large', () => {
    const { css, notes } = scope('::part(widget){position:static;width:100vw;color:red}', { overPage: true })
    expect(css).toBe(':host :not(#\\_)[part~="widget"]{color:red}')
    expect(notes).toHaveLength(2)
  })
  it('is the same when it is given again what it gave, but for the scope', () => {
    const { css } = scope('a{color:red}')
    expect(scope(css.replaceAll(':host ', '').replaceAll(':not(#\\_)', '')).css).toBe(css)
  })
})

describe('hostile sheets', () => {
  it('are at least sixty', () => expect(new Set(hostile).size).toBeGreaterThanOrEqual(60))
  it.each(hostile.map((sheet) => [sheet]))('%s', (sheet) => {
    const { css, notes } = scope(sheet)
    expectHarmless(css)
    expect(notes.length, css).toBeGreaterThan(0)
  })
  it('behind good rules, cut off anywhere, and one in another', () =>
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...hostile), { minLength: 1, maxLength: 4 }), fc.nat(400), (sheets, cut) =>
        expectHarmless(scope(sheets.join('\n').slice(0, cut)).css),
      ),
      { numRuns: 400 },
    ))
  it('whatever is typed', () =>
    fc.assert(
      fc.property(
        fc.string({
          unit: fc.constantFrom(
            ...'{}()[]:;@#.&*"\'\\/<>-!, \nauro',
            'url(',
            '@media',
            '::part(',
            '</style>',
            '<!--',
            '\\75',
            '--x',
            '/*',
            '*/',
          ),
          maxLength: 60,
        }),
        (css) => expectHarmless(scope(css).css),
      ),
      { numRuns: 2000 },
    ))
})

// Published sets: CSS Syntax tests of the web platform (as @rmenke/css-tokenizer-tests has them), and postcss's own cases.
describe('published CSS', () => {
  it('every case of the tokenizer’s tests comes back harmless', () => {
    const all = Object.values(testCorpus)
    expect(all.length).toBeGreaterThan(100)
    for (const { css } of all) {
      expectHarmless(scope(css).css)
      expectHarmless(scope(`a{color:${css}}`).css)
      expectHarmless(scope(`${css}{color:red}`).css)
    }
  })
  it('and of postcss’s', () => {
    let seen = 0
    eachTest((_name, css) => {
      seen++
      expectHarmless(scope(css).css)
    })
    expect(seen).toBeGreaterThan(20)
  })
})

describe('a sheet that would take its time', () => {
  const wish = { parts: ['title'], overPage: false }
  const spent = (source: string) => {
    const before = process.cpuUsage()
    const scoped = scopeCss(source, wish)
    const { user, system } = process.cpuUsage(before)
    return { scoped, ms: (user + system) / 1000 }
  }
  it.each([
    '(',
    '[',
    '{',
    'a{',
    '&{',
    '@media{',
    '@supports(',
    ':not(',
    ':is(a,',
    'a,',
    '{}',
    'a{}',
    'a{b:c}',
    'a{b:(',
    '::part(title),',
  ])('of %j to its last letter is read as far as it goes, and the rest is said to be left out', (piece) => {
    for (const before of ['', 'a{b:', 'a{--b:', '@media ']) {
      const { scoped, ms } = spent(before + piece.repeat(Math.floor(59_000 / piece.length)))
      expect(ms, before + piece).toBeLessThan(1500)
      expect(scoped.notes.length, before + piece).toBeGreaterThan(0)
    }
  })
  it('is not held against what people write: 1,000 rules of five selectors', () => {
    const source = Array.from({ length: 1000 }, (_, n) => `.a${n},.b${n},.c,.d,.e{color:#123}`).join('\n')
    expect(scopeCss(source, wish).notes).toEqual([])
  })
})
