import type { Rule, RuleKind } from '../../sieve'
import { arrangementGroup, enlargeData, keywordsGroup, lookGroup, moreGroup } from '../groups'
import { stepsAfter } from '../groups/arrangement'
import type { Kind } from '../kind'
import { box, filmHeights, filmsFit } from './box'
import { filmsCss } from './css'
import { cells, enlargedOf, filmsHtml } from './html'
import { sample } from './sample'
import { handPicked, sources, VideosSettings } from './settings'
import { filmsOf } from './view'

const loosened: Partial<Record<RuleKind, Partial<VideosSettings>>> = {
  ...keywordsGroup.loosened,
  hidden: { hidden: [] },
}

export const videos: Kind<VideosSettings> = {
  id: 'videos',
  name: 'Videos',
  purpose: 'Films of a channel or a playlist, as stills that a press plays over the page.',
  version: 1,
  upgrade: {},
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
    const step = moreGroup.step(settings)
    const shown = all.films.slice(0, step)
    const plays = settings.click === 'enlarge'
    const more = moreGroup.parts(all.films, step, (some, from, until) => ({
      html: cells(some, settings, from),
      css: stepsAfter(settings, filmsFit(settings), () => filmHeights(until, settings), from),
      data: plays ? { items: some.map(enlargedOf) } : {},
    }))
    return {
      html: filmsHtml(view, all, shown),
      css: filmsCss(settings, shown),
      font: lookGroup.font(settings),
      behaviours: [
        ...arrangementGroup.behaviours(settings),
        ...(plays ? ['enlarge'] : []),
        ...(more.length ? ['more'] : []),
      ],
      data: {
        ...arrangementGroup.data(settings),
        ...(plays ? enlargeData(shown.map(enlargedOf), settings.labels) : {}),
        ...(more.length ? { parts: more.length } : {}),
      },
      ...(more.length ? { more } : {}),
    }
  },
  content: {
    many: 'films',
    bodies: ['video'],
    sourceIds: sources.sourceIds,
    rules: (s): Rule[] =>
      keywordsGroup.last(s, [
        { kind: 'unique' },
        ...handPicked.hiding(s),
        ...keywordsGroup.excluding(s),
        ...handPicked.ordering(s),
      ]),
    order: ({ order }) => order,
    pictures: () => ['item'],
    loosened: ({ kind }) => loosened[kind] ?? null,
  },
  box,
  colours: lookGroup.colours,
}
