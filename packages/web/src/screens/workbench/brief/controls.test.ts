// @vitest-environment happy-dom
import type { Control } from '@pebblestrand/core/kinds'
import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { h } from 'vue'
import { componentFor, controlComponents } from './controls'
import PieceControl from './PieceControl.vue'
import SpinPiece from './SpinPiece.vue'

const show = (control: Control, value: unknown) =>
  mount(componentFor(control)!, { props: { control, value, label: 'The setting' } })
const last = (wrapper: ReturnType<typeof show>) => wrapper.emitted('set')?.at(-1)?.[0]
const text: Control = { type: 'text', most: 40, none: 'nothing' }
const link: Control = {
  type: 'object',
  saidBy: 'words',
  parts: { words: { label: 'Words', control: text }, to: { label: 'Address', control: text } },
}
const links: Control = { type: 'list', of: link, most: 3, one: 'link', none: 'no links', blank: { words: '', to: '' } }

describe('every type of control', () => {
  it('has a component, but sources, which have a panel', () => {
    expect(Object.keys(controlComponents).sort()).toEqual(
      [
        'choice',
        'colour',
        'item-links',
        'items',
        'label',
        'link',
        'list',
        'number',
        'object',
        'source-mosts',
        'switch',
        'text',
        'words',
        'several',
        'rich',
        'local-time',
        'time-of-day',
        'day',
        'hours',
        'week',
        'paths',
        'picture',
        'widget',
        'triggers',
      ].sort(),
    )
    expect(componentFor({ type: 'sources', most: 1, none: 'no source yet', of: '' })).toBeNull()
  })
})

describe('a number', () => {
  const number: Control = { type: 'number', min: 0, max: 10, step: 4, unit: 'px' }
  it('goes up and down by its step, never past its limits', async () => {
    const wrapper = show(number, 4)
    await wrapper.get('[aria-label="More"]').trigger('click')
    expect(last(wrapper)).toBe(8)
    await wrapper.setProps({ value: 8 })
    await wrapper.get('[aria-label="More"]').trigger('click')
    expect(last(wrapper)).toBe(10)
    await wrapper.setProps({ value: 10 })
    expect(wrapper.get('[aria-label="More"]').attributes('disabled')).toBeDefined()
  })
  it('typed is rounded and kept within its limits; what is no number changes nothing', async () => {
    const wrapper = show(number, 4)
    await wrapper.get('input').setValue('99')
    expect(last(wrapper)).toBe(10)
    await wrapper.get('input').setValue('3.6')
    expect(last(wrapper)).toBe(4)
  })
  it('in the sentence is changed by arrow keys, Home and End without opening anything', async () => {
    const wrapper = mount(SpinPiece, {
      props: {
        control: number as never,
        value: 4,
        words: '4 px',
        label: 'Gap',
        setting: 'gap',
        fault: false,
        disabled: false,
      },
      slots: { default: () => h('button', 'in the panel') },
    })
    const spin = wrapper.get('[role=spinbutton]')
    for (const [key, value] of [
      ['ArrowUp', 8],
      ['ArrowLeft', 0],
      ['Home', 0],
      ['End', 10],
    ] as const) {
      await spin.trigger('keydown', { key })
      expect(wrapper.emitted('set')!.at(-1)).toEqual([value])
    }
    expect(wrapper.find('[role=group]').exists()).toBe(false)
    await spin.trigger('keydown', { key: 'Enter' })
    expect(wrapper.find('[role=group]').exists()).toBe(true)
    await wrapper.get('[role=group]').trigger('keydown', { key: 'Escape' })
    expect(wrapper.find('[role=group]').exists()).toBe(false)
  })
})

describe('a choice and a switch', () => {
  it('say each value by its words and give the value', async () => {
    const choice = show(
      {
        type: 'choice',
        options: [
          { value: 'a', words: 'first' },
          { value: 'b', words: 'second' },
        ],
      },
      'a',
    )
    expect(choice.findAll('label').map((l) => l.text())).toEqual(['first', 'second'])
    await choice.findAll('input')[1]!.setValue(true)
    expect(last(choice)).toBe('b')
    const onOff = show({ type: 'switch', on: 'shown', off: 'off' }, true)
    await onOff.findAll('input')[1]!.setValue(true)
    expect(last(onOff)).toBe(false)
  })
  it('Enter says that this was all', async () => {
    const wrapper = show({ type: 'switch', on: 'shown', off: 'off' }, true)
    await wrapper.get('input').trigger('keydown', { key: 'Enter' })
    expect(wrapper.emitted('done')).toHaveLength(1)
  })
})

describe('a label', () => {
  const label: Control = { type: 'label', most: 40, says: 'readMore', names: false }
  it('says what its language says until it is reworded, and again when that is taken back', async () => {
    const wrapper = show(label, null)
    expect((wrapper.get('input').element as HTMLInputElement).value).toBe('Read more')
    await wrapper.get('input').setValue('Go on')
    expect(last(wrapper)).toBe('Go on')
    await wrapper.setProps({ value: 'Go on' })
    await wrapper.get('button').trigger('click')
    expect(last(wrapper)).toBeNull()
  })
  it('says that it is left out when it is emptied, unless it names a control', async () => {
    expect(show(label, '').text()).toContain('left out')
    expect(show({ ...label, names: true }, '').text()).toContain('says “Read more” all the same')
  })
})

describe('words, text and colour', () => {
  it('adds several words at once, each once, and takes one out', async () => {
    const wrapper = show({ type: 'words', most: 3, none: 'anything' }, ['ferry'])
    await wrapper.get('input').setValue(' pier, ferry ,sail*, dock')
    await wrapper.get('form').trigger('submit')
    expect(last(wrapper)).toEqual(['ferry', 'pier', 'sail*'])
    await wrapper.get('[aria-label="Take ferry out"]').trigger('click')
    expect(last(wrapper)).toEqual([])
  })
  it('text as it is typed', async () => {
    const wrapper = show(text, '')
    await wrapper.get('input').setValue('From the harbour')
    expect(last(wrapper)).toBe('From the harbour')
  })
  it('a colour picked, written, or given back to the site', async () => {
    const wrapper = show({ type: 'colour', unset: "the site's own" }, '#17665A')
    await wrapper.get('input[type=color]').setValue('#ff0000')
    expect(last(wrapper)).toBe('#ff0000')
    await wrapper.get('input:not([type=color])').setValue(' #abc ')
    expect(last(wrapper)).toBe('#abc')
    await wrapper.get('button').trigger('click')
    expect(last(wrapper)).toBe('')
  })
})

describe('hours of a day and of a week', () => {
  const nine = [{ opens: '09:00', closes: '17:00' }]
  it('are typed as people write them; what cannot be read stays, with the reason', async () => {
    const wrapper = show({ type: 'hours' }, [])
    await wrapper.get('input').setValue('9-12, 13.30-17')
    expect(last(wrapper)).toEqual([
      { opens: '09:00', closes: '12:00' },
      { opens: '13:30', closes: '17:00' },
    ])
    await wrapper.get('input').setValue('nine to five')
    expect(wrapper.emitted('set')).toHaveLength(1)
    expect((wrapper.get('input').element as HTMLInputElement).value).toBe('nine to five')
    expect(wrapper.get('[role=alert]').text()).toContain('“nine to five” is none')
  })
  it('of a day are copied to the next by one press', async () => {
    const week = [nine, [], [], [], [], [], []]
    const wrapper = show({ type: 'week' }, week)
    await wrapper.get('[aria-label="Tuesday: copy from Monday"]').trigger('click')
    expect(last(wrapper)).toEqual([nine, nine, [], [], [], [], []])
    await wrapper.get('[aria-label="Sunday"]').setValue('10-16')
    expect(last(wrapper)).toEqual([nine, [], [], [], [], [], [{ opens: '10:00', closes: '16:00' }]])
  })
})

describe('an object', () => {
  it('changes one part and leaves the others', async () => {
    const wrapper = show(link, { words: 'Map', to: 'https://a.example/' })
    await wrapper.get('[aria-label="The setting: Words"]').setValue('Tickets')
    expect(last(wrapper)).toEqual({ words: 'Tickets', to: 'https://a.example/' })
  })
})

describe('a list', () => {
  const two = [
    { words: 'Map', to: '/map' },
    { words: 'Tickets', to: '/tickets' },
  ]
  it('says what there is when it is empty, and adds a blank one', async () => {
    const wrapper = show(links, [])
    expect(wrapper.text()).toContain('no links')
    await wrapper.get('button.word').trigger('click')
    expect(last(wrapper)).toEqual([{ words: '', to: '' }])
  })
  it('moves, changes and takes out', async () => {
    const wrapper = show(links, two)
    await wrapper.get('[aria-label="Move link 2 up"]').trigger('click')
    expect(last(wrapper)).toEqual([two[1], two[0]])
    await wrapper.get('[aria-label="link 1: Words"]').setValue('Plan')
    expect(last(wrapper)).toEqual([{ words: 'Plan', to: '/map' }, two[1]])
    await wrapper.get('[aria-label="Take link 1 out"]').trigger('click')
    expect(last(wrapper)).toEqual([two[1]])
    expect(wrapper.get('[aria-label="Move link 1 up"]').attributes('disabled')).toBeDefined()
  })
  it('takes no more than it may', () => {
    const wrapper = show(links, [...two, two[0]])
    expect(wrapper.find('button.word').exists()).toBe(false)
    expect(wrapper.text()).toContain('3 at most')
  })
})

describe('what opens at a value', () => {
  it('says what is wrong with it, and what else there is to know', () => {
    const piece = { key: 'title', label: 'Title', words: '“x”', control: text, hints: undefined }
    const wrapper = mount(PieceControl, { props: { piece, value: 'x', fault: 'must have 40 letters or fewer' } })
    expect(wrapper.text()).toContain('It must have 40 letters or fewer.')
    expect(wrapper.get('input').attributes('aria-label')).toBe('Title')
  })
})
