import { expect, it } from 'vitest'
import { byFolder } from './folders'

it('folders stand by name, what lies in none before them, each with its own in their order', () => {
  const feeds = [
    { folder: 'News/Sea', n: 1 },
    { folder: '', n: 2 },
    { folder: 'News', n: 3 },
    { folder: 'News/Sea', n: 4 },
  ]
  expect(byFolder(feeds).map(({ folder, feeds: some }) => [folder, ...some.map(({ n }) => n)])).toEqual([
    ['', 2],
    ['News', 3],
    ['News/Sea', 1, 4],
  ])
})
