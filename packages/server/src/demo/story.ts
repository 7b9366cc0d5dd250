import { daysAfter, readHours } from '@pebblestrand/core/hours'
import type { Settings } from '@pebblestrand/core/kinds'

/** Widgets of the demo: settings differ from the starter's where they say so. Sources by the feed's name below. */
export const feeds = {
  harbour: { host: 'skerrow-post', path: '/feeds/harbour.atom' },
  news: { host: 'skerrow-post', path: '/feeds/news.xml' },
  culture: { host: 'skerrow-post', path: '/feeds/culture.json' },
  /** Well once and ill from then on; its last good copy stays up. */
  weather: { host: 'troubled-feeds', path: '/fails-later.xml' },
  ferryVoices: { host: 'skerrow-guide', path: '/places/gullhaven-ferries' },
  kilnVoices: { host: 'skerrow-guide', path: '/places/orrin-kiln' },
  observatoryVoices: { host: 'harbour-voices', path: '/map?place=hv0q6t8j2mk4fx' },
  vetVoices: { host: 'harbour-voices', path: '/map?place=hv9b1x7s5pd3gn' },
  museumVoices: { host: 'skerrow-guide', path: '/places/windle-knot-museum' },
  kilnFrames: { host: 'isle-frames', path: '/@orrin.kiln' },
  vetFrames: { host: 'isle-frames', path: '/tagged/patientoftheweek' },
  skyFilms: { host: 'moving-shore', path: '/feeds/channel/mc-4k7t2p9x.xml' },
  orchardFrames: { host: 'isle-frames', path: '/tagged/orchard' },
} as const
/** Collections that are made by hand: shelf.ts. */
export type SourceName = keyof typeof feeds | 'shelf'

interface Told {
  kind: string
  starter: string
  feeds: readonly SourceName[]
  /** Of some of these, how many items at most. */
  mosts?: Partial<Record<SourceName, number>>
  settings: Settings
}

const told = <Name extends string>(all: Record<Name, Told>) => all

const inDays = (days: number) => daysAfter(new Date().toISOString().slice(0, 10), days)

export const widgets = told({
  'Wind and weather': {
    kind: 'headlines',
    starter: 'sidebar-list',
    feeds: ['weather'],
    settings: { accent: '#1f5f99', picture: 'none', excerpt: 0 },
  },
  'Harbour news': {
    kind: 'headlines',
    starter: 'sidebar-list',
    feeds: ['harbour'],
    settings: { accent: '#1f5f99', picture: 'none', excerpt: 0 },
  },
  'Island headlines': {
    kind: 'headlines',
    starter: 'list-with-pictures',
    feeds: ['news'],
    settings: { count: 5, accent: '#9a4a24' },
  },
  'What is on': {
    kind: 'headlines',
    starter: 'three-across',
    feeds: ['culture'],
    settings: { accent: '#4a3fa0', title: 'own', titleText: 'What is on' },
  },
  'Culture column': {
    kind: 'headlines',
    starter: 'sidebar-list',
    feeds: ['culture'],
    settings: { count: 3, accent: '#8a3b4f', author: true },
  },
  'Animal news': {
    kind: 'headlines',
    starter: 'sidebar-list',
    feeds: ['news', 'harbour'],
    settings: {
      include: ['vets', 'seal', 'animals', 'wildlife'],
      accent: '#0f7a72',
      title: 'own',
      titleText: 'In the news',
    },
  },
  'Cycling notes': {
    kind: 'headlines',
    starter: 'list-with-pictures',
    feeds: ['news', 'harbour'],
    settings: { include: ['cycl*', 'bicycle*'], count: 3, accent: '#b8472a', title: 'none' },
  },
  'Post in brief': {
    kind: 'headlines',
    starter: 'three-across',
    feeds: ['news', 'harbour', 'culture'],
    settings: {
      count: 6,
      picture: 'none',
      excerpt: 60,
      title: 'own',
      titleText: 'From the Skerrow Post',
      accent: '#6b7f1e',
    },
  },
  'Island round-up': {
    kind: 'headlines',
    starter: 'sidebar-list',
    feeds: ['news', 'harbour', 'culture'],
    mosts: { news: 2, harbour: 2, culture: 1 },
    settings: {
      count: 5,
      from: true,
      accent: '#1f5f99',
      picture: 'none',
      excerpt: 0,
      title: 'own',
      titleText: 'From all corners',
    },
  },
  'Choir in the papers': {
    kind: 'headlines',
    starter: 'sidebar-list',
    feeds: ['culture', 'harbour'],
    settings: { include: ['choir', 'concert'], accent: '#7a3f8f', title: 'own', titleText: 'Heard about us' },
  },
  'Regatta reports': {
    kind: 'headlines',
    starter: 'sidebar-list',
    feeds: ['harbour'],
    settings: { include: ['lighthouse keeper'], accent: '#4a3fa0' },
  },
  'Almanac notes': {
    kind: 'headlines',
    starter: 'sidebar-list',
    feeds: ['culture'],
    settings: { include: ['almanac'], accent: '#8a3b4f', picture: 'none', excerpt: 0 },
  },
  'What passengers say': {
    kind: 'reviews',
    starter: 'three-voices',
    feeds: ['ferryVoices'],
    settings: { title: 'own', titleText: 'What passengers say' },
  },
  // So narrow that two are left.
  'On our engraving': {
    kind: 'reviews',
    starter: 'beside-the-text',
    feeds: ['kilnVoices'],
    settings: { include: ['engrav*'], stars: '5', accent: '#8a3b4f', title: 'own', titleText: 'On our engraving' },
  },
  'Kind to animals': {
    kind: 'reviews',
    starter: 'beside-the-text',
    feeds: ['vetVoices'],
    settings: {
      stars: '4',
      accent: '#0f7a72',
      title: 'own',
      titleText: 'What owners say',
      summary: true,
      phrases: 'found',
      phrasesMost: 3,
      avatar: 'own',
    },
  },
  'Ferry rating': {
    kind: 'rating-badge',
    starter: 'pill',
    feeds: ['ferryVoices'],
    settings: { accent: '#1f5f99', starColour: '#f2c14e' },
  },
  'Museum rating': { kind: 'rating-badge', starter: 'line', feeds: ['museumVoices'], settings: {} },
  'Star rating': {
    kind: 'rating-badge',
    starter: 'tile',
    feeds: ['observatoryVoices'],
    settings: { label: 'Guests say' },
  },
  'From the kiln': {
    kind: 'photo-wall',
    starter: 'bricks',
    feeds: ['kilnFrames'],
    settings: { count: 24, columns: 3, more: '6', caption: 'below', accent: '#8a3b4f', title: 'none', header: 'line' },
  },
  'Patients of the week': {
    kind: 'photo-wall',
    starter: 'even-grid',
    feeds: ['vetFrames'],
    settings: {
      count: 8,
      accent: '#0f7a72',
      title: 'own',
      titleText: 'Patients of the week',
    },
  },
  'Films from the dome': {
    kind: 'videos',
    starter: 'large-first',
    feeds: ['skyFilms'],
    settings: { count: 6, columns: 3, accent: '#4a3fa0', title: 'own', titleText: 'Films from the dome' },
  },
  'In the orchard': {
    kind: 'photo-wall',
    starter: 'large-first',
    feeds: ['orchardFrames'],
    settings: { count: 9, columns: 4, header: 'none', accent: '#6b7f1e', hover: 'both' },
  },
  'On our shelf': {
    kind: 'picks',
    starter: 'covers',
    feeds: ['shelf'],
    settings: { count: 6, labelled: ['shelf'], accent: '#6a4b7c', title: 'own', titleText: 'On our shelf' },
  },
  'Further reading': {
    kind: 'picks',
    starter: 'reading-list',
    feeds: ['shelf'],
    settings: {
      count: 3,
      labelled: ['to read'],
      coverWidth: 80,
      accent: '#6a4b7c',
      title: 'own',
      titleText: 'Further reading',
    },
  },
  'Meet the kiln': {
    kind: 'profile-card',
    starter: 'card',
    feeds: ['kilnFrames'],
    settings: { accent: '#8a3b4f' },
  },
  'Workshop visits': {
    kind: 'visit-counter',
    starter: 'footer-line',
    feeds: [],
    settings: { week: true, accent: '#8a3b4f', start: 12_480 },
  },
  'Visitors since the practice opened': {
    kind: 'visit-counter',
    starter: 'digits',
    feeds: [],
    settings: { accent: '#0f7a72', title: '', start: 41_007 },
  },
  'Library hours': {
    kind: 'opening-hours',
    starter: 'table',
    feeds: [],
    settings: {
      title: 'When the library is open',
      week: ['', '10-12:30, 14-18', '10-12:30, 14-18', '14-20', '10-12:30, 14-18', '10-16', ''].map(readHours),
      special: [
        { from: inDays(22), until: inDays(33), name: 'Between the years', spans: [] },
        { from: inDays(61), until: '', name: 'Night of the lamps', spans: readHours('10-23') },
      ],
    },
  },
  'Open now at Pollard Cycles': {
    kind: 'opening-hours',
    starter: 'badge',
    feeds: [],
    settings: { accent: '#1f5f99' },
  },
})
export type WidgetName = keyof typeof widgets
