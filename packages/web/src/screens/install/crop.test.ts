import { expect, it } from 'vitest'
import { cropAround } from './crop'

const box = { x: 980, y: 1500, width: 300, height: 200 }

it('shows the page around the widget, which lies in the middle', () => {
  const crop = cropAround({ width: 1280, height: 3000, boxes: [box] })
  expect(crop.height).toBe(794)
  // The widget's middle is at 1600, the piece begins 397 px above.
  expect(crop.top).toBe(`${((-1203 / 794) * 100).toFixed(2)}%`)
  expect(crop.boxes).toEqual([
    {
      left: '76.56%',
      top: `${((297 / 794) * 100).toFixed(2)}%`,
      width: '23.44%',
      height: `${((200 / 794) * 100).toFixed(2)}%`,
    },
  ])
})
it('stays within the page at its top and its end, and within what is in the picture', () => {
  expect(cropAround({ width: 1280, height: 3000, boxes: [{ ...box, y: 0 }] }).top).toBe('0.00%')
  expect(cropAround({ width: 1280, height: 1000, boxes: [{ ...box, y: 900 }] }).top).toBe(
    `${((-206 / 794) * 100).toFixed(2)}%`,
  )
  expect(cropAround({ width: 1280, height: 300, boxes: [] })).toMatchObject({ height: 300, top: '0.00%', boxes: [] })
})
it('draws no box that is not in the piece', () =>
  expect(cropAround({ width: 390, height: 9000, boxes: [{ x: 0, y: 8000, width: 300, height: 100 }] }).boxes).toEqual(
    [],
  ))
