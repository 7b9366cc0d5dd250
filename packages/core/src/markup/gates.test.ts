import { describe, expect, it } from 'vitest'
import { address, colour, cssUrl, cssValue } from './gates'

describe('what may get into HTML or CSS', () => {
  it('address: http and https only, escaped', () => {
    expect(address('https://a.example/?a=1&b=2')).toBe('https://a.example/?a=1&amp;b=2')
    for (const bad of [
      'ftp://a.example/',
      'javascript:alert(1)',
      'data:text/html,x',
      '//x.example',
      ' javascript:x',
      '',
    ])
      expect(address(bad)).toBe('')
    expect(address(null)).toBe('')
  })
  it('colour: hexadecimal only', () => {
    const given = ['#abc', '#A1B2C3', 'red', '#12', '#12345', '#123456;}', '']
    expect(given.map(colour)).toEqual(['#abc', '#A1B2C3', '', '', '', '', ''])
  })
  it('CSS value: nothing that ends a declaration or the element', () =>
    expect(cssValue('x;}</style><script>')).toBe('x/stylescript'))
  it('CSS address: what could end it is encoded, what is none is dropped', () => {
    expect(cssUrl('https://x.example/a.woff2");}*{')).not.toMatch(/["{}]/)
    expect(cssUrl('https://x.example/100%.woff2')).toContain('https://x.example/')
    expect(cssUrl('javascript:alert(1)')).toBe('')
  })
})
