import type { Rule, RuleKind } from '../../sieve'
import { over, readableOn } from '../../look'
import { keywordsGroup, lookGroup, mostsGroup, renderParts, type Pair } from '../groups'
import type { Kind } from '../kind'
import { sinceThemesAndLanguages } from '../of-before'
import { box, postHeights, wallFit } from './box'
import { wallCss } from './css'
import { cells, enlargedOf, wallHtml } from './html'
import { sample } from './sample'
import { handPicked, PhotoWallSettings, sources } from './settings'
import { wallOf } from './view'

const loosened: Partial<Record<RuleKind, Partial<PhotoWallSettings>>> = {
  ...keywordsGroup.loosened,
  ...mostsGroup.loosened,
  labels: { labelled: [] },
  hidden: { hidden: [] },
}

/** What the layer says, over the lightest and the darkest picture there could be below it. */
const layerPairs = ({ hover, hoverColour, hoverOpacity }: PhotoWallSettings): Pair[] =>
  hover === 'none'
    ? []
    : [
        {
          what: 'Words of the layer',
          setting: null,
          colour: readableOn(hoverColour),
          alpha: 1,
          grounds: ['#ffffff', '#000000'].map((picture) => over(hoverColour, hoverOpacity / 100, picture)),
          least: 4.5,
          theme: 'own',
        },
      ]

export const photoWall: Kind<PhotoWallSettings> = {
  id: 'photo-wall',
  name: 'Photo wall',
  purpose: 'Posts of a profile or by a tag: a grid, a wall of bricks or a row of pictures that a press enlarges.',
  version: 2,
  upgrade: { 1: sinceThemesAndLanguages },
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
    return renderParts(view, {
      all: wall.posts,
      cells: (some, from) => cells(some, settings, from),
      heights: (some) => postHeights(some, settings),
      spec: wallFit(settings),
      html: (shown) => wallHtml(view, wall, shown),
      css: (shown) => wallCss(settings, shown),
      ...(settings.click === 'enlarge' ? { enlarges: { of: enlargedOf, words: settings.labels } } : {}),
    })
  },
  content: {
    many: 'posts',
    bodies: ['post'],
    sourceIds: sources.sourceIds,
    rules: (s): Rule[] =>
      keywordsGroup.last(
        s,
        [
          { kind: 'unique' },
          ...handPicked.hiding(s),
          ...(s.labelled.length ? [{ kind: 'labels', labels: s.labelled } as const] : []),
          ...keywordsGroup.excluding(s),
          ...handPicked.ordering(s),
        ],
        mostsGroup.rules(s),
      ),
    order: ({ order }) => order,
    pictures: () => ['item'],
    sourcePicture: ({ header }) => header === 'line' || header === 'centred',
    loosened: ({ kind }) => loosened[kind] ?? null,
  },
  box,
  parts: [
    'heading',
    'description',
    'list',
    'item',
    'picture',
    'caption',
    'counts',
    'layer',
    'mark',
    'button',
    'profile',
    'face',
    'name',
    'text',
  ],
  pairs: (settings, site) => [...lookGroup.pairs(settings, site), ...layerPairs(settings)],
}
