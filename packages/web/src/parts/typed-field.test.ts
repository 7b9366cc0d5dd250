// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import TypedField from './TypedField.vue'

describe('a field that is taken over when it is left', () => {
  it('keeps what is being typed while the screen is drawn anew', async () => {
    const wrapper = mount(TypedField, { props: { value: '#8a3b4f' }, attrs: { 'aria-label': 'Accent' } })
    const input = wrapper.get('input')
    input.element.value = 'reddish'
    await input.trigger('input')
    await wrapper.setProps({ 'aria-label': 'Accent, written' } as never)
    expect(input.element.value).toBe('reddish')
    await input.trigger('change')
    expect(wrapper.emitted('change')).toEqual([['reddish']])
  })
  it('says what holds where that is changed elsewhere', async () => {
    const wrapper = mount(TypedField, { props: { value: 4 } })
    await wrapper.setProps({ value: 8 })
    expect(wrapper.get('input').element.value).toBe('8')
  })
})
