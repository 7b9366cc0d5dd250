import { load } from 'cheerio'
import ICAL from 'ical.js'
import { describe, expect, it } from 'vitest'
import type { PresenceRules } from '../presence'
import type { OverData } from './groups'
import type { RenderContext, Settings } from './kind'
import { kindList } from './list'
import { drawn } from './render-widget'
import { usualAround } from './spoken'

// What the four kinds over a page have in common: what they say, what their buttons do, when they appear.

const ids = ['centre-dialog', 'edge-bar', 'full-cover', 'corner-card'] as const
const around = { ...usualAround, timeZone: 'Atlantic/Faroe' }
const render = (id: string, settings: Settings, more: Partial<RenderContext> = {}) => {
  const kind = kindList[id]!
  const whole = kind.settings.parse(settings) as Settings
  const context: RenderContext = { widgetName: 'Notice', sources: {}, facts: {}, around, ...more }
  const rendered = drawn(kind, { settings: whole, items: [], context })
  return { ...rendered, $: load(rendered.html, null, false), over: rendered.data.over as OverData }
}
const button = (goes: string, more: object = {}) => ({
  words: 'Go',
  goes,
  to: '',
  tab: 'same',
  title: '',
  start: '',
  end: '',
  where: '',
  widget: '',
  ...more,
})

describe.each(ids)('%s', (id) => {
  it('is named by its heading, else by its own name, and has a button that closes it', () => {
    const { $ } = render(id, { heading: 'The regatta' })
    const named = $('.ov').attr('aria-labelledby')!
    expect($(`#${named}`).text()).toBe('The regatta')
    expect(render(id, {}).$('.ov').attr('aria-label')).toBe('Notice')
    expect($('button[part=close]').attr('aria-label')).toBe('Close')
    expect(render(id, { locale: 'de-DE' }).$('button[part=close]').attr('aria-label')).toBe('Schließen')
  })
  it('lets the page be used meanwhile, or not', () => {
    const { $, over } = render(id, {})
    const isModal = id === 'centre-dialog' || id === 'full-cover'
    expect([$('dialog').length > 0, over.modal]).toEqual([isModal, isModal])
  })
  it('says when it appears, on the clocks of the site', () => {
    const { over } = render(id, {
      from: '2026-07-01T10:00',
      until: '2026-12-01T10:00',
      days: ['5'],
      hoursFrom: '20:00',
    })
    expect(over.rules).toMatchObject({
      audience: {
        from: '2026-07-01T09:00:00.000Z', // an hour before UTC in summer (IANA, Atlantic/Faroe)
        until: '2026-12-01T10:00:00.000Z',
        days: [5],
        hours: { from: '20:00', until: '24:00' },
      },
    } satisfies Partial<Record<keyof PresenceRules, object>>)
    const own = kindList[id]!.presence!(kindList[id]!.settings.parse({}) as Settings)!.rules!('UTC')
    expect(own.limits.daysAfterClosing).toBeGreaterThan(0)
    expect(own.audience.devices).not.toContain('phone')
  })
  it('needs something that sets it off', () => {
    const read = kindList[id]!.settings.safeParse({ triggers: [] })
    expect(read.error!.issues[0]).toMatchObject({ path: ['triggers'] })
  })
  it('moves only for who wants motion', () => {
    const { css } = render(id, { enter: 'slide', exit: 'grow' })
    expect(css.match(/animation:/g)).not.toBeNull()
    expect(css.slice(0, css.indexOf('@media not (prefers-reduced-motion:reduce)'))).not.toContain('animation:')
  })
})

describe('a button', () => {
  const made = (one: object) => render('corner-card', { buttons: [one] }).$('.bs > *')
  it.each([
    [button('address', { to: 'https://a.example/x' }), 'https://a.example/x'],
    [button('address', { to: '/hire' }), '/hire'],
    [button('file', { to: 'https://a.example/x.pdf' }), 'https://a.example/x.pdf'],
    [button('phone', { to: '+298 12 34' }), 'tel:+2981234'],
    [button('place', { to: 'fares' }), '#fares'],
    [button('place', { to: '#fares' }), '#fares'],
  ])('%o leads to %s', (one, href) => expect(made(one).attr('href')).toBe(href))
  it('puts a date into the calendar, at its moment', () => {
    const link = made(button('date', { title: 'Regatta', start: '2026-07-01T10:00', where: 'Sound' }))
    const [, data] = link.attr('href')!.split('data:text/calendar;charset=utf-8,')
    const event = new ICAL.Event(
      new ICAL.Component(ICAL.parse(decodeURIComponent(data!))).getFirstSubcomponent('vevent')!,
    )
    expect([event.summary, event.location, event.startDate.toJSDate().toISOString()]).toEqual([
      'Regatta',
      'Sound',
      '2026-07-01T09:00:00.000Z',
    ])
    expect(link.attr('download')).toBe('Regatta.ics')
  })
  it('opens another widget, or closes this one', () => {
    const widget = '7f1f6c0a-3d55-4a0e-9d59-0f6e5f6f7a11'
    expect(made(button('widget', { widget })).attr('data-opens')).toBe(widget)
    expect(made(button('close')).attr('data-closes')).toBe('')
  })
  it.each([['address'], ['file'], ['phone'], ['place'], ['date'], ['widget']])(
    'that has nowhere to go yet is not there: %s',
    (goes) => expect(made(button(goes))).toHaveLength(0),
  )
  it('leads nowhere else', () => {
    const read = kindList['corner-card']!.settings.safeParse({
      buttons: [button('address', { to: 'javascript:alert(1)' })],
    })
    expect(read.success).toBe(false)
  })
})

describe('what is in it', () => {
  const url = 'https://kiln.example/kiln.jpg'
  it('is a picture of ours, and none where there is no copy yet', () => {
    const own = { base: 'https://strand.example/i1/abc', widths: [400, 800] }
    const pictures = { [url]: { url, width: 800, height: 600, alt: '', own } }
    const { $ } = render('centre-dialog', { picture: url, pictureAlt: 'The kiln' }, { pictures })
    expect($('img').attr('src')).toMatch(/^https:\/\/strand\.example\/i1\/abc-/)
    expect($('img').attr('alt')).toBe('The kiln')
    expect(render('centre-dialog', { picture: url }, { pictures: {} }).$('img')).toHaveLength(0)
  })
  it('is another widget, with its later parts as its own', () => {
    const inside = {
      html: '<p>In it</p>',
      css: '',
      font: null,
      behaviours: ['more'],
      data: {},
      more: [{ html: '', css: '', data: {} }],
    }
    const widget = '7f1f6c0a-3d55-4a0e-9d59-0f6e5f6f7a11'
    const { $, over, more } = render('centre-dialog', { inside: widget }, { inside })
    expect($('[data-inside]')).toHaveLength(1)
    expect(over.inside).toMatchObject({ html: '<p>In it</p>', behaviours: ['more'] })
    expect(more).toHaveLength(1)
  })
  it('is, in a bar, how long it is until then', () => {
    const { $ } = render('edge-bar', { countdown: '2026-07-01T10:00' })
    expect($('time[data-until]').attr('datetime')).toBe('2026-07-01T09:00:00.000Z')
    expect($('time').text()).toBe('1 July 2026 at 10:00')
  })
})

describe('a bar', () => {
  it('has the page make room for it where it stays, or stands above the page', () => {
    const push = (settings: Settings) => render('edge-bar', settings).over.push
    expect([
      push({}),
      push({ edge: 'bottom' }),
      push({ room: 'over' }),
      push({ edge: 'bottom', stays: 'away' }),
    ]).toEqual(['top', 'bottom', undefined, undefined])
  })
})
