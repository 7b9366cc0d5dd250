import { wcagContrast } from 'culori'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { palettes, usualSite, type SiteColours } from '../../../look'
import { kindList } from '../../list'
import { drawnHeight } from '../../render-widget'
import { paddingOf } from './css'
import { lookGroup } from './index'
import { measured } from './pairs'
import type { LookSettings } from './settings'

const colour = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`)
const site: SiteColours = { ...usualSite, accent: '#1f5f99', button: '#1f5f99', buttonText: '#ffffff' }
const look = (more: Partial<LookSettings> = {}): LookSettings => ({
  font: 'site',
  theme: 'own',
  text: '',
  background: '',
  opacity: 100,
  accent: '',
  linkHover: '',
  button: '',
  starColour: '',
  borderWidth: 0,
  border: '',
  radius: 4,
  shadow: 'none',
  padding: 'auto',
  headingSize: 'usual',
  textSize: 'usual',
  smallSize: 'usual',
  ownCss: '',
  ...more,
})
const pairs = (more: Partial<LookSettings>, on = site) => lookGroup.pairs(look(more), on).map(measured)
const of = (what: string, all: ReturnType<typeof pairs>) => all.filter((pair) => pair.what === what)

describe('what meets', () => {
  it('our own themes can be read, every pair of them, whatever colours are set', () =>
    fc.assert(
      fc.property(
        colour,
        colour,
        colour,
        colour,
        fc.constantFrom('light', 'dark', 'system'),
        (accent, linkHover, starColour, button, theme) => {
          for (const pair of pairs({ accent, linkHover, starColour, button, theme } as Partial<LookSettings>))
            expect(pair.passes, `${pair.what} in ${pair.theme}: ${pair.colour}`).toBe(true)
        },
      ),
    ))
  it('and so they can with whatever accent a site has', () =>
    fc.assert(
      fc.property(colour, (accent) => {
        for (const pair of pairs({ theme: 'system' }, { ...site, accent })) expect(pair.passes, pair.what).toBe(true)
      }),
    ))
  it('is measured on what a see-through background and the site’s make together', () => {
    const text = (opacity: number) =>
      of('Text', pairs({ text: '#ffffff', background: '#000000', opacity }, { ...site, background: '#ffffff' }))[0]!
    expect(text(100).ratio).toBeCloseTo(21, 5)
    // Half black over white is #808080.
    expect(text(50).ratio).toBeCloseTo(wcagContrast('#ffffff', '#808080'), 5)
    expect(text(0).ratio).toBeCloseTo(1, 5)
  })
  it('in both themes where the visitor’s system decides', () =>
    expect([...new Set(pairs({ theme: 'system' }).map(({ theme }) => theme))]).toEqual(['light', 'dark']))
  it('names the setting that would mend it, and a colour that does', () =>
    fc.assert(
      fc.property(colour, colour, (text, background) => {
        for (const { mend, grounds, alpha, least } of pairs({ text, background }).filter(({ passes }) => !passes)) {
          if (!mend) continue
          const again = pairs({ text, background, [mend.setting]: mend.colour })
          expect(
            again.find(({ setting, passes, what }) => setting === mend.setting && what === 'Text' && !passes),
          ).toBeUndefined()
          if (alpha === 1) expect(wcagContrast(mend.colour, grounds[0]!)).toBeGreaterThanOrEqual(least - 1e-4)
        }
      }),
    ))
  it('a hover colour of its own is what is mended, and else the accent', () => {
    expect(of('A link under the pointer', pairs({ linkHover: '#fefefe' }))[0]!.mend?.setting).toBe('linkHover')
    expect(of('A link under the pointer', pairs({ accent: '#fefefe' }))[0]!.mend?.setting).toBe('accent')
  })
})

describe('as CSS', () => {
  const css = (more: Partial<LookSettings>) => lookGroup.css(look(more))
  it('the site’s own is what the page says, by its variables', () => {
    expect(css({})).toContain('--accent:var(--site-accent,currentColor)')
    expect(css({})).not.toMatch(/[;{]color:|[;{]background:/)
  })
  it('a theme brings ground and words of its own; the system’s brings both', () => {
    expect(css({ theme: 'dark' })).toContain(`--background:${palettes.dark.background}`)
    expect(css({ theme: 'system' })).toMatch(/@media \(prefers-color-scheme:dark\)\{\.w\{.*color-scheme:dark/)
    expect(css({ theme: 'dark' })).toContain('background:var(--background)')
  })
  it('a see-through background lets the page through', () =>
    expect(css({ background: '#102030', opacity: 40 })).toContain('--background:rgb(16 32 48/40%)'))
  it('border, shadow and corners', () => {
    expect(css({ borderWidth: 2, shadow: 'soft', radius: 10 })).toMatch(
      /border-radius:10px;border:2px solid var\(--border\);box-shadow:/,
    )
    expect(css({})).not.toContain('border-radius')
  })
  it.each([
    [{}, 0],
    [{ background: '#fff' }, 16],
    [{ background: '#fff', opacity: 0 }, 0],
    [{ theme: 'light' }, 16],
    [{ borderWidth: 1 }, 16],
    [{ background: '#fff', padding: '8' }, 8],
  ] as [Partial<LookSettings>, number][])('%j is padded by %d px', (more, px) => expect(paddingOf(look(more))).toBe(px))
})

describe('sizes', () => {
  it('follow their own scale, lines in px with them', () => {
    const s = look({ headingSize: 'largest', smallSize: 'smaller' })
    expect(lookGroup.sized({ of: 'heading', size: 20, line: 1.2 }, s)).toEqual({ of: 'heading', size: 25, line: 1.2 })
    expect(lookGroup.sized({ of: 'small', size: 12, line: 18 }, s)).toEqual({ of: 'small', size: 10.5, line: 16 })
    expect(lookGroup.sized({ of: 'text', size: 16, line: 21 }, s)).toEqual({ of: 'text', size: 16, line: 21 })
  })
  it.each(Object.values(kindList).map((kind) => [kind.id, kind] as const))(
    'larger text makes %s higher',
    (_id, kind) => {
      if (!kind.box) return
      const { items, facts } = kind.sample('https://strand.example')
      const height = (more: object) => {
        const settings = kind.settings.parse({ ...more, locale: 'en-GB' })
        return drawnHeight(
          kind,
          { settings, items: items.slice(0, 4), context: { widgetName: 'x', sources: {}, facts } },
          600,
        )
      }
      const large = { headingSize: 'largest', textSize: 'largest', smallSize: 'largest' }
      // A wall of pictures has no words unless they are asked for.
      const more = kind.id === 'photo-wall' ? { caption: 'below' } : {}
      if (kind.id === 'profile-card') return // of somebody whom a sample's context does not know
      expect(height({ ...more, ...large })).toBeGreaterThan(height(more))
    },
  )
})
