import type { Rule, RuleKind } from '../../sieve'
import { keywordsGroup, lookGroup, mostsGroup, renderParts } from '../groups'
import type { Kind } from '../kind'
import { sinceThemesAndLanguages } from '../of-before'
import { box, pickHeights, picksFit } from './box'
import { picksCss } from './css'
import { cells, picksHtml } from './html'
import { sample } from './sample'
import { handPicked, PicksSettings, sources } from './settings'
import { picksOf } from './view'

const loosened: Partial<Record<RuleKind, Partial<PicksSettings>>> = {
  ...keywordsGroup.loosened,
  ...mostsGroup.loosened,
  labels: { labelled: [] },
  hidden: { hidden: [] },
}

export const picks: Kind<PicksSettings> = {
  id: 'picks',
  name: 'Picks',
  purpose: 'What somebody chose by hand: pages, books, places to go; with covers, titles and notes.',
  version: 2,
  upgrade: { 1: sinceThemesAndLanguages },
  settings: PicksSettings,
  starters: [
    { id: 'covers', name: 'Covers in rows', settings: {} },
    {
      id: 'reading-list',
      name: 'Reading list',
      settings: { layout: 'list', words: 'beside', ratio: 'square', coverWidth: 100, count: 5 },
    },
    {
      id: 'shelf',
      name: 'Shelf of tall covers',
      settings: { columns: 5, ratio: 'portrait', words: 'card', count: 10, gap: 12 },
    },
    { id: 'lines', name: 'Titles and notes alone', settings: { layout: 'list', cover: 'off', count: 8, gap: 12 } },
    { id: 'row', name: 'Row of picks', settings: { layout: 'carousel', count: 9 } },
  ],
  sample,
  render(view) {
    const { settings } = view
    const all = picksOf(view)
    return renderParts(view, {
      all: all.picks,
      cells: (some, from) => cells(some, settings, from),
      heights: (some) => pickHeights(some, settings),
      spec: picksFit(settings),
      html: (shown) => picksHtml(view, all, shown),
      css: (shown) => picksCss(settings, shown),
    })
  },
  content: {
    many: 'picks',
    bodies: ['pick'],
    sourceIds: sources.sourceIds,
    rules: (s): Rule[] =>
      keywordsGroup.last(
        s,
        [
          ...handPicked.hiding(s),
          ...(s.labelled.length ? [{ kind: 'labels', labels: s.labelled } as const] : []),
          ...keywordsGroup.excluding(s),
          ...handPicked.ordering(s),
        ],
        mostsGroup.rules(s),
      ),
    order: ({ order }) => order,
    pictures: ({ cover }) => (cover === 'on' ? ['item'] : []),
    loosened: ({ kind }) => loosened[kind] ?? null,
  },
  box,
  parts: ['heading', 'description', 'list', 'item', 'picture', 'title', 'text', 'meta', 'date', 'link', 'button'],
  pairs: lookGroup.pairs,
}
