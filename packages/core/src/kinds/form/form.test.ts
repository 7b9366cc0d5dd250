import { load } from 'cheerio'
import { describe, expect, it } from 'vitest'
import { Field, fieldKinds, newField, type FieldKind } from '../../forms'
import { labels } from '../../words'
import { kindList } from '../list'
import { readSettings } from '../read-settings'
import { drawn, drawnHeight } from '../render-widget'
import { form } from '.'
import { FormKindSettings } from './settings'

const context = { widgetName: 'W', sources: {}, facts: {} }
const around = (language: string) => ({ language, timeZone: 'UTC', credit: null })
const draw = (settings: object, facts: Record<string, unknown> = {}, language = 'en') =>
  drawn(form, {
    settings: FormKindSettings.parse(settings),
    items: [],
    context: { ...context, facts, around: around(language) },
  })
const everyKind = (Object.keys(fieldKinds) as FieldKind[]).map((is) => ({ ...newField(is, []), name: `f-${is}` }))
const whole = {
  fields: {
    steps: [
      { title: 'One', fields: everyKind.slice(0, 6) },
      { title: 'Two', fields: everyKind.slice(6) },
    ],
  },
}

describe('a form as HTML', () => {
  const $ = load(draw(whole).html, null, false)
  it.each(everyKind.filter(({ is }) => is !== 'hidden'))(
    '$is is named, described, and says its own fault',
    ({ name }) => {
      const field = $(`[data-field="${name}"]`)
      const control = field.find('input,select,textarea').first()
      const isGroup = field.is('fieldset')
      const named = isGroup
        ? field.children('legend').text()
        : $(`label[for="${control.attr('id')}"]`).text() || control.closest('label').text()
      expect(named.trim().length).toBeGreaterThan(2)
      const described = (isGroup ? field : control).attr('aria-describedby')!.split(' ')
      for (const id of described) expect($(`#${id}`)).toHaveLength(1)
      expect($(`#e-${name}`).attr('hidden')).toBeDefined()
    },
  )
  it('has no style attribute and no script: a strict policy stops nothing', () => {
    const { html } = draw(whole)
    expect(html).not.toMatch(/ style=| on\w+=|<script/)
  })
  it('never has a consent ticked beforehand, and demands nothing that may not be asked for', () => {
    const hangs = Field.parse({
      is: 'short',
      name: 'why',
      label: 'Why?',
      required: true,
      when: { field: 'f-tick', is: ['yes'] },
    })
    const html = draw({ fields: { steps: [{ title: '', fields: [...everyKind, hangs] }] } }).html
    const page = load(html, null, false)
    expect(page('input[type=checkbox][checked]')).toHaveLength(0)
    expect(page('[name="f-consent"]').attr('required')).toBeDefined()
    expect(page('[name="why"]').attr('required')).toBeUndefined()
  })
  it('comes back with what was typed and what is wrong, escaped', () => {
    const facts = {
      form: {
        filled: {
          values: { 'f-short': '"><b>', 'f-one-of': 'second', 'f-several-of': ['first'] },
          faults: { 'f-email': 'No <i>' },
        },
      },
    }
    const page = load(draw(whole, facts).html, null, false)
    expect(page('[name="f-short"]').attr('value')).toBe('"><b>')
    expect(page('[name="f-one-of"][value=second]').attr('checked')).toBeDefined()
    expect(
      page('[name="f-several-of"][checked]')
        .map((_, one) => page(one).attr('value'))
        .get(),
    ).toEqual(['first'])
    expect(page('#e-f-email').text()).toBe('No <i>')
    expect(page('[name="f-email"]').attr('aria-invalid')).toBe('true')
    expect(page('b, i')).toHaveLength(0)
  })
  it('once it has arrived is thanks alone', () => {
    const page = load(draw(whole, { form: { arrived: { results: [] } } }).html, null, false)
    expect(page('form')).toHaveLength(0)
    expect(page('.dn').attr('hidden')).toBeUndefined()
    expect(page('.dn').text()).toContain(labels.en.arrived)
  })
  it.each(Object.keys(labels))('in %s says everything of its own in that language', (language) => {
    const rendered = draw(whole, {}, language)
    expect(rendered.html).toContain(labels[language as keyof typeof labels].send)
    expect((rendered.data.form as { words: { step: string } }).words.step).toBe(
      labels[language as keyof typeof labels].step,
    )
  })
})

describe('its starters', () => {
  it.each(form.starters)(
    '$name is drawn, takes room that grows when it is narrow, and decides what becomes of its answers',
    (starter) => {
      const settings = form.settings.parse({ ...starter.settings })
      const view = { settings, items: [], context: { ...context, around: around('en') } }
      const heights = [280, 400, 700].map((width) => drawnHeight(form, view, width))
      expect(heights[0]).toBeGreaterThanOrEqual(heights[2]!)
      expect(heights[2]).toBeGreaterThan(90)
      expect(starter.delivery).toBeDefined()
      expect(drawn(form, view).behaviours).toEqual(['form'])
    },
  )
})

describe('fields over the page', () => {
  it.each(['centre-dialog', 'edge-bar', 'full-cover', 'corner-card'])(
    '%s has them where it is given some, and is as before without',
    (id) => {
      const kind = kindList[id]!
      const settings = (given: object) => readSettings(kind, given as never, kind.version)
      const drawnWith = (given: object) =>
        drawn(kind, { settings: settings(given), items: [], context: { ...context, around: around('en') } })
      expect(drawnWith({}).behaviours).toEqual(['over'])
      expect(drawnWith({}).html).not.toContain('<form')
      const asking = drawnWith({ fields: { steps: [{ title: '', fields: [newField('email', [])] }] } })
      expect(asking.behaviours).toEqual(['over', 'form'])
      expect(asking.html).toContain('type="email"')
      expect(kind.form!(settings({}))).toBeNull()
    },
  )
})
