import { expect, it } from 'vitest'
import { pasteAnew } from './paste-anew'

it.each([
  ['inline', 'frame', 'confirmed', 'Paste the frame in place of the element and script, then check again.'],
  ['inline', 'frame', 'planned', 'The frame is what to paste now.'],
  ['inline', 'tag', 'needs-a-hand', 'Take the element and script out of the page: the site tag brings it now.'],
  ['frame', 'tag', 'planned', 'The site tag brings it now.'],
  ['tag', 'picture', 'confirmed', 'Paste the picture into the page: the site tag brings it no more.'],
] as const)('from %s to %s, %s: %s', (before, now, status, said) => expect(pasteAnew(before, now, status)).toBe(said))
