import type { Rule, RuleKind } from '../../sieve'
import { keywordsGroup, lookGroup, mostsGroup, renderParts } from '../groups'
import type { Kind } from '../kind'
import { sinceThemesAndLanguages } from '../of-before'
import { box, filmHeights, filmsFit } from './box'
import { filmsCss } from './css'
import { cells, enlargedOf, filmsHtml } from './html'
import { sample } from './sample'
import { handPicked, sources, VideosSettings } from './settings'
import { filmsOf } from './view'

const loosened: Partial<Record<RuleKind, Partial<VideosSettings>>> = {
  ...keywordsGroup.loosened,
  ...mostsGroup.loosened,
  hidden: { hidden: [] },
}

export const videos: Kind<VideosSettings> = {
  id: 'videos',
  name: 'Videos',
  purpose: 'Films of a channel or a playlist, as stills that a press plays over the page.',
  version: 2,
  upgrade: { 1: sinceThemesAndLanguages },
  settings: VideosSettings,
  starters: [
    { id: 'three-across', name: 'Three stills', settings: {} },
    { id: 'large-first', name: 'Newest one large', settings: { layout: 'large-first', count: 6, columns: 4 } },
    { id: 'beside-the-text', name: 'Three in a column', settings: { layout: 'list', count: 3 } },
    { id: 'row', name: 'Row of films', settings: { layout: 'carousel', count: 9 } },
  ],
  sample,
  render(view) {
    const { settings } = view
    const all = filmsOf(view)
    return renderParts(view, {
      all: all.films,
      cells: (some, from) => cells(some, settings, from),
      heights: (some) => filmHeights(some, settings),
      spec: filmsFit(settings),
      html: (shown) => filmsHtml(view, all, shown),
      css: (shown) => filmsCss(settings, shown),
      ...(settings.click === 'enlarge' ? { enlarges: { of: enlargedOf, words: settings.labels } } : {}),
    })
  },
  content: {
    many: 'films',
    bodies: ['video'],
    sourceIds: sources.sourceIds,
    rules: (s): Rule[] =>
      keywordsGroup.last(
        s,
        [{ kind: 'unique' }, ...handPicked.hiding(s), ...keywordsGroup.excluding(s), ...handPicked.ordering(s)],
        mostsGroup.rules(s),
      ),
    order: ({ order }) => order,
    pictures: () => ['item'],
    loosened: ({ kind }) => loosened[kind] ?? null,
  },
  box,
  parts: ['heading', 'description', 'list', 'item', 'picture', 'title', 'meta', 'date', 'mark', 'length', 'button'],
  pairs: lookGroup.pairs,
}
