import { expect, it } from 'vitest'
import { reservedHeight } from './reserved-height'

it('is one height where all are the same, or nothing is known of narrower windows', () => {
  expect(reservedHeight({ height: 340.4 })).toBe('340px')
  expect(reservedHeight({ height: 340, tablet: 340, phone: 340 })).toBe('340px')
})
it('is a sum of steps, higher or lower, where they differ', () => {
  expect(reservedHeight({ height: 340, tablet: 400, phone: 320 })).toBe(
    'calc(340px + clamp(0px,(1024px - 100vw)*99999,60px) + clamp(-80px,(100vw - 600px)*99999,0px))',
  )
  expect(reservedHeight({ height: 340, phone: 700 })).toBe('calc(340px + clamp(0px,(600px - 100vw)*99999,360px))')
})
it('comes to the right height at any width of a window', () => {
  // The same sum worked out by hand, as CSS does it.
  const at = (css: string, vw: number) =>
    Function(
      `const clamp = (a, b, c) => Math.max(a, Math.min(b, c)); return ${css.replace('calc', '').replaceAll('100vw', String(vw)).replaceAll('px', '')}`,
    )() as number
  const css = reservedHeight({ height: 340, tablet: 900, phone: 120 })
  expect([1280, 1024, 1023, 768, 600, 599, 390, 320].map((vw) => at(css, vw))).toEqual([
    340, 340, 900, 900, 900, 120, 120, 120,
  ])
})
