import type { Build } from './build'
import { inOneBox, partsWithin, sideFirst } from './by-hand'
import { blocks, byRank, mainAround } from './themes'

/** Sites that are put together otherwise than their platform does it by itself, by host: no two are of one build. */
export const builds: Partial<Record<string, Build>> = {
  brackenfold: sideFirst,
  'pollard-cycles': partsWithin,
  'ninefold-choir': inOneBox,
  'orrin-kiln': blocks,
  observatory: mainAround,
  'tarnside-vets': byRank,
}
