import { served } from './served'
import { scripts } from './scripts'
import { frames } from './frames'
import { texts } from './texts'
import { notThePage } from './not-the-page'
import { badFresh } from './bad-fresh'
import { never } from './never-the-same'
import { gone } from './gone'
import { policies } from './policies'
import { others } from './others'
import type { Incident } from './pieces'

export type { Got, Incident } from './pieces'

/** Everything that happens to pages, in groups. */
export const incidents: Incident[] = [
  ...served,
  ...scripts,
  ...frames,
  ...texts,
  ...notThePage,
  ...badFresh,
  ...never,
  ...gone,
  ...policies,
  ...others,
]
