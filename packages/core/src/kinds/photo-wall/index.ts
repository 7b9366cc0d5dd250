import type { Rule, RuleKind } from '../../sieve'
import { arrangementGroup, enlargeData, keywordsGroup, lookGroup, moreGroup } from '../groups'
import { stepsAfter } from '../groups/arrangement'
import type { Kind } from '../kind'
import { box, postHeights, wallFit } from './box'
import { wallCss } from './css'
import { cells, enlargedOf, wallHtml } from './html'
import { sample } from './sample'
import { handPicked, PhotoWallSettings, sources } from './settings'
import { wallOf } from './view'

const loosened: Partial<Record<RuleKind, Partial<PhotoWallSettings>>> = {
  ...keywordsGroup.loosened,
  labels: { labelled: [] },
  hidden: { hidden: [] },
}

export const photoWall: Kind<PhotoWallSettings> = {
  id: 'photo-wall',
  name: 'Photo wall',
  purpose: 'Posts of a profile or by a tag: a grid, a wall of bricks or a row of pictures that a press enlarges.',
  version: 1,
  upgrade: {},
  settings: PhotoWallSettings,
  starters: [
    { id: 'even-grid', name: 'Even grid', settings: {} },
    {
      id: 'bricks',
      name: 'Wall of bricks',
      settings: { layout: 'masonry', columns: 3, ratio: 'own', count: 18, more: '12' },
    },
    {
      id: 'large-first',
      name: 'First one large',
      settings: { layout: 'large-first', count: 9, header: 'line', title: 'none' },
    },
    { id: 'row', name: 'Row to move along', settings: { layout: 'carousel', ratio: 'portrait', caption: 'below' } },
  ],
  sample,
  render(view) {
    const { settings } = view
    const wall = wallOf(view)
    const step = moreGroup.step(settings)
    const shown = wall.posts.slice(0, step)
    const enlarges = settings.click === 'enlarge'
    const parts = moreGroup.parts(wall.posts, step, (some, from, until) => ({
      html: cells(some, settings, from),
      css: stepsAfter(settings, wallFit(settings), () => postHeights(until, settings), from),
      data: enlarges ? { items: some.map(enlargedOf) } : {},
    }))
    return {
      html: wallHtml(view, wall, shown),
      css: wallCss(settings, shown),
      font: lookGroup.font(settings),
      behaviours: [
        ...arrangementGroup.behaviours(settings),
        ...(enlarges ? ['enlarge'] : []),
        ...(parts.length ? ['more'] : []),
      ],
      data: {
        ...arrangementGroup.data(settings),
        ...(enlarges ? enlargeData(shown.map(enlargedOf), settings.labels) : {}),
        ...(parts.length ? { parts: parts.length } : {}),
      },
      ...(parts.length ? { more: parts } : {}),
    }
  },
  content: {
    many: 'posts',
    bodies: ['post'],
    sourceIds: sources.sourceIds,
    rules: (s): Rule[] =>
      keywordsGroup.last(s, [
        { kind: 'unique' },
        ...handPicked.hiding(s),
        ...(s.labelled.length ? [{ kind: 'labels', labels: s.labelled } as const] : []),
        ...keywordsGroup.excluding(s),
        ...handPicked.ordering(s),
      ]),
    order: ({ order }) => order,
    pictures: () => ['item'],
    sourcePicture: ({ header }) => header === 'line' || header === 'centred',
    loosened: ({ kind }) => loosened[kind] ?? null,
  },
  box,
  colours: lookGroup.colours,
}
