import type { MethodId } from '@pebblestrand/core/methods'
import type { Region } from '@pebblestrand/core/platforms'
import type { WidgetName } from './story'

/** What became of an install: each is brought about at the site's desk, then looked at by a real check. */
export type Outcome =
  | 'confirmed'
  | 'planned'
  | 'pasted'
  | 'absent'
  | 'unpublished'
  | 'cached-copy'
  | 'shown-as-text'
  | 'shortcode-raw'
  | 'link-only'
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
  chapter('gullhaven', '/contact', 'footer', 'Post in brief', 'signed-in-only', 7, 'inline'),
  chapter('gullhaven', '/', 'header', 'Ferry rating', 'confirmed', 380),
  chapter('gullhaven', '/fares', 'main', 'What passengers say', 'confirmed', 370),
  chapter('gullhaven', '/news', 'sidebar', 'Island round-up', 'confirmed', 95),
  chapter('windle-knot', '/learn', 'footer', 'On our shelf', 'confirmed', 85),
  chapter('observatory', '/dome', 'main', 'Further reading', 'confirmed', 80),
  chapter('orrin-kiln', '/', 'main', 'Meet the kiln', 'confirmed', 75),
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
  chapter('tarnside-vets', '/opening-hours', 'main', 'Kind to animals', 'planned', 150),
  chapter('tarnside-vets', '/opening-hours', 'footer', 'Wind and weather', 'planned', 149),
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
  chapter('ninefold-choir', '/concerts', 'footer', 'Culture column', 'planned', 52),
  chapter('ninefold-choir', '/concerts', 'main', 'What is on', 'confirmed', 250),
  chapter('skerrow-library', '/', 'sidebar', 'Culture column', 'confirmed', 160),
  chapter('skerrow-library', '/hours', 'main', 'What is on', 'confirmed', 155),
  chapter('holm-bakery', '/', 'main', 'Post in brief', 'confirmed', 66),
  chapter('marram-yoga', '/', 'main', 'What is on', 'confirmed', 64),
  chapter('marram-yoga', '/classes', 'main', 'Post in brief', 'link-only', 13, 'link'),
  chapter('keepers-log', '/', 'sidebar', 'Wind and weather', 'confirmed', 58),
  chapter('keepers-log', '/storms', 'main', 'Post in brief', 'confirmed', 56),
  chapter('tangle-campsite', '/', 'sidebar', 'Harbour news', 'confirmed', 52),
  chapter('net-loft', '/', 'sidebar', 'Culture column', 'confirmed', 48),
  chapter('tangle-campsite', '/', 'footer', 'Ferry rating', 'confirmed', 44, 'picture'),
  chapter('windle-knot', '/visit', 'header', 'What is on', 'confirmed', 90, 'opener'),
  chapter('orrin-kiln', '/kiln', 'header', 'Post in brief', 'shortcode-raw', 12, 'shortcode'),
  chapter('skerrow-library', '/hours', 'sidebar', 'Library hours', 'confirmed', 70),
  chapter('pollard-cycles', '/', 'header', 'Open now at Pollard Cycles', 'confirmed', 60),
]

/** What only a browser sees, and a page that is worth a picture. */
export const worthABrowser = ({ outcome, site, page }: Chapter) =>
  ['script-error', 'empty', 'overflow', 'old-release', 'broken-link'].includes(outcome) ||
  (site === 'gullhaven' && page === '/')
