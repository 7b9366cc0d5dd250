import type { MethodId } from '@pebblestrand/core/methods'
import type { Region } from '@pebblestrand/core/platforms'
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
export type FeedName = keyof typeof feeds

interface Told {
  kind: string
  starter: string
  feeds: readonly FeedName[]
  settings: Settings
}

const told = <Name extends string>(all: Record<Name, Told>) => all

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
    settings: { accent: '#1f5f99', title: 'own', titleText: 'What passengers say' },
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
})
export type WidgetName = keyof typeof widgets

/** What became of an install: each is brought about at the site's desk, then looked at by a real check. */
export type Outcome =
  | 'confirmed'
  | 'planned'
  | 'pasted'
  | 'absent'
  | 'unpublished'
  | 'cached-copy'
  | 'shown-as-text'
  | 'inert'
  | 'other-widget'
  | 'wrong-placement'
  | 'double'
  | 'wrong-host'
  | 'script-stripped'
  | 'no-width'
  | 'blocked'
  | 'hidden'
  | 'script-error'
  | 'empty'
  | 'overflow'
  | 'old-release'
  | 'signed-in-only'
  | 'broken-link'
  | 'moved'
  | 'unreachable'
  | 'retired'

export interface Chapter {
  widget: WidgetName
  site: string
  page: string
  region: Region
  outcome: Outcome
  hoursAgo: number
  method?: MethodId
}

const chapter = (
  site: string,
  page: string,
  region: Region,
  widget: WidgetName,
  outcome: Outcome,
  hoursAgo: number,
  method?: MethodId,
): Chapter => ({ site, page, region, widget, outcome, hoursAgo, method })

export const chapters: Chapter[] = [
  chapter('gullhaven', '/', 'main', 'Post in brief', 'confirmed', 900),
  chapter('gullhaven', '/', 'sidebar', 'Harbour news', 'confirmed', 900),
  chapter('gullhaven', '/fares', 'sidebar', 'Harbour news', 'confirmed', 850),
  chapter('gullhaven', '/timetable', 'main', 'Island headlines', 'cached-copy', 6),
  chapter('gullhaven', '/news', 'main', 'Island headlines', 'confirmed', 700),
  chapter('gullhaven', '/news', 'footer', 'Post in brief', 'confirmed', 690),
  chapter('gullhaven', '/contact', 'sidebar', 'Harbour news', 'planned', 3),
  chapter('gullhaven', '/contact', 'main', 'Island headlines', 'confirmed', 420),
  chapter('gullhaven', '/contact', 'footer', 'Post in brief', 'signed-in-only', 7),
  chapter('gullhaven', '/', 'header', 'Ferry rating', 'confirmed', 380),
  chapter('gullhaven', '/fares', 'main', 'What passengers say', 'confirmed', 370),
  chapter('orrin-kiln', '/kiln', 'main', 'On our engraving', 'confirmed', 150),
  chapter('orrin-kiln', '/kiln', 'footer', 'From the kiln', 'confirmed', 120),
  chapter('tarnside-vets', '/emergencies', 'footer', 'Patients of the week', 'confirmed', 110),
  chapter('brackenfold', '/orchard', 'main', 'In the orchard', 'confirmed', 100),
  chapter('observatory', '/sky-tonight', 'main', 'Films from the dome', 'confirmed', 90),
  chapter('observatory', '/visit', 'footer', 'Star rating', 'confirmed', 310),
  chapter('tarnside-vets', '/emergencies', 'main', 'Kind to animals', 'confirmed', 130),
  chapter('windle-knot', '/collection', 'main', 'Museum rating', 'confirmed', 240),
  chapter('orrin-kiln', '/', 'sidebar', 'Culture column', 'confirmed', 800),
  chapter('orrin-kiln', '/', 'footer', 'Post in brief', 'confirmed', 640),
  chapter('orrin-kiln', '/workshop', 'main', 'What is on', 'script-stripped', 11),
  chapter('orrin-kiln', '/shop', 'sidebar', 'Culture column', 'confirmed', 300),
  chapter('orrin-kiln', '/shop', 'main', 'Workshop visits', 'confirmed', 280),
  chapter('orrin-kiln', '/shop', 'footer', 'Post in brief', 'confirmed', 290),
  chapter('orrin-kiln', '/kiln', 'sidebar', 'Culture column', 'hidden', 22),
  chapter('observatory', '/', 'main', 'What is on', 'confirmed', 720),
  chapter('observatory', '/', 'sidebar', 'Culture column', 'confirmed', 720),
  chapter('observatory', '/visit', 'sidebar', 'Harbour news', 'confirmed', 430),
  chapter('observatory', '/sky-tonight', 'sidebar', 'Culture column', 'double', 26),
  chapter('observatory', '/talks', 'main', 'What is on', 'confirmed', 210),
  chapter('observatory', '/talks', 'footer', 'Post in brief', 'confirmed', 200),
  chapter('brackenfold', '/', 'sidebar', 'Island headlines', 'confirmed', 500),
  chapter('brackenfold', '/orchard', 'footer', 'Post in brief', 'confirmed', 480),
  chapter('brackenfold', '/orchard', 'sidebar', 'Harbour news', 'wrong-placement', 30),
  chapter('brackenfold', '/club', 'sidebar', 'Island headlines', 'pasted', 1),
  chapter('brackenfold', '/club', 'footer', 'Post in brief', 'confirmed', 320),
  chapter('brackenfold', '/tastings', 'main', 'Harbour news', 'blocked', 15),
  chapter('windle-knot', '/archive', 'main', 'Harbour news', 'script-error', 18),
  chapter('observatory', '/dome', 'sidebar', 'Regatta reports', 'empty', 14),
  chapter('gullhaven', '/lost-property', 'sidebar', 'Harbour news', 'overflow', 9),
  chapter('tarnside-vets', '/emergencies', 'sidebar', 'Wind and weather', 'old-release', 16),
  chapter('windle-knot', '/', 'main', 'Post in brief', 'confirmed', 1000),
  chapter('windle-knot', '/', 'sidebar', 'Culture column', 'confirmed', 990),
  chapter('windle-knot', '/collection', 'sidebar', 'Culture column', 'confirmed', 600),
  chapter('windle-knot', '/visit', 'sidebar', 'Harbour news', 'confirmed', 600),
  chapter('windle-knot', '/visit', 'main', 'What is on', 'retired', 400),
  chapter('windle-knot', '/visit', 'footer', 'Almanac notes', 'broken-link', 60),
  chapter('windle-knot', '/learn', 'sidebar', 'Culture column', 'no-width', 50, 'frame'),
  chapter('windle-knot', '/members', 'main', 'Island headlines', 'unreachable', 90),
  chapter('windle-knot', '/collection', 'footer', 'Post in brief', 'confirmed', 580),
  chapter('windle-knot', '/learn', 'main', 'What is on', 'confirmed', 180),
  chapter('tarnside-vets', '/', 'sidebar', 'Animal news', 'confirmed', 350),
  chapter('tarnside-vets', '/', 'main', 'Post in brief', 'confirmed', 340),
  chapter('tarnside-vets', '/', 'footer', 'Visitors since the practice opened', 'confirmed', 345),
  chapter('tarnside-vets', '/opening-hours', 'sidebar', 'Animal news', 'unpublished', 4),
  chapter('tarnside-vets', '/advice', 'main', 'Animal news', 'confirmed', 330),
  chapter('tarnside-vets', '/advice', 'footer', 'Post in brief', 'confirmed', 325, 'frame'),
  chapter('tarnside-vets', '/advice', 'sidebar', 'Harbour news', 'other-widget', 35),
  chapter('pollard-cycles', '/', 'main', 'Cycling notes', 'confirmed', 560),
  chapter('pollard-cycles', '/', 'footer', 'Post in brief', 'confirmed', 550),
  chapter('pollard-cycles', '/hire', 'sidebar', 'Cycling notes', 'shown-as-text', 8),
  chapter('pollard-cycles', '/workshop', 'main', 'Cycling notes', 'moved', 120),
  chapter('pollard-cycles', '/hire', 'main', 'Cycling notes', 'confirmed', 140),
  chapter('ninefold-choir', '/', 'main', 'Choir in the papers', 'confirmed', 260),
  chapter('ninefold-choir', '/', 'sidebar', 'Culture column', 'inert', 40),
  chapter('ninefold-choir', '/', 'footer', 'Post in brief', 'wrong-host', 70, 'frame'),
  chapter('ninefold-choir', '/concerts', 'sidebar', 'Choir in the papers', 'absent', 20),
  chapter('ninefold-choir', '/concerts', 'main', 'What is on', 'confirmed', 250),
]

/** What only a browser sees, and a page that is worth a picture. */
export const worthABrowser = ({ outcome, site, page }: Chapter) =>
  ['script-error', 'empty', 'overflow', 'old-release', 'broken-link'].includes(outcome) ||
  (site === 'gullhaven' && page === '/')
