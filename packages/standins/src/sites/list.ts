import type { Site } from './site'

// The client sites of the Skerrow Isles. All invented.

const page = (path: string, title: string, ...paragraphs: string[]) => ({ path, title, paragraphs })

export const sites: Site[] = [
  {
    host: 'gullhaven',
    name: 'Gullhaven Ferries',
    motto: 'Between the isles since the first pier',
    platform: 'hand-coded',
    cacheMinutes: 360,
    theme: { heading: 'Zilla Slab', body: 'Cabin', ink: '#16324a', ground: '#ffffff', accent: '#1f5f99', band: '#16324a', contentWidth: 1080, sidebarWidth: 300, sidebarAt: 'right', head: 'band' },
    pages: [
      page('/', 'Home', 'Six boats, eleven piers and one very patient harbour dog. We sail in every month of the year, and in most weathers.', 'Foot passengers need no booking. Cars, bicycles and beehives do.'),
      page('/timetable', 'Timetable', 'The summer timetable runs from the first of April to the last day of October; the winter one has fewer crossings on Sundays.', 'Gullhaven to Orrin: 06:40, 09:10, 12:00, 15:30, 18:20. Orrin to Gullhaven: half an hour later, tide permitting.', 'When the wind is above force eight from the north-west, ask at the pier before you set out.'),
      page('/fares', 'Fares', 'Adults 7.40, children 3.10, dogs free when they behave.', 'A book of ten crossings is valid for two years and may be shared.'),
      page('/news', 'News', 'What is new on the water, at the piers and in the saloon.'),
      page('/contact', 'Contact', 'The ticket office is in the old salt store, opposite the crane.'),
    ],
  },
  {
    host: 'orrin-kiln',
    name: 'Orrin Kiln Pottery',
    motto: 'Stoneware from island clay',
    platform: 'cms',
    cacheMinutes: 60,
    theme: { heading: 'Alegreya', body: 'Alegreya', ink: '#3a2a22', ground: '#fbf6f0', accent: '#9a4a24', band: '#ead9c8', contentWidth: 1000, sidebarWidth: 280, sidebarAt: 'left', head: 'centred' },
    pages: [
      page('/', 'Home', 'We dig the clay behind the workshop, let it rest for a year, and fire it with driftwood ash.', 'Every piece is signed by the one who threw it.'),
      page('/workshop', 'Workshop', 'Courses for beginners take place on the second weekend of the month. Bring an apron and short fingernails.'),
      page('/shop', 'Shop', 'Bowls, jugs and the tall cups with the thumb rest. What you see on the shelf is what there is.'),
    ],
  },
  {
    host: 'observatory',
    name: 'Skerrow Observatory',
    motto: 'Dark skies, warm soup',
    platform: 'cms',
    cacheMinutes: 120,
    theme: { heading: 'Nunito Sans', body: 'Nunito Sans', ink: '#1c2233', ground: '#f5f7fb', accent: '#4a3fa0', band: '#1c2233', contentWidth: 1120, sidebarWidth: 320, sidebarAt: 'right', head: 'band' },
    pages: [
      page('/', 'Home', 'The dome opens on every clear Friday. On cloudy ones there is a talk, and soup either way.'),
      page('/visit', 'Visit', 'The path from the road is lit in red, so that your eyes stay used to the dark. Please leave the torch in the car.'),
      page('/sky-tonight', 'Sky tonight', 'Jupiter stands high in the south before midnight; the Milky Way needs a night without moon.'),
      page('/talks', 'Talks', 'Doors at half past seven. Children under ten get the front cushions.'),
    ],
  },
  {
    host: 'brackenfold',
    name: 'Brackenfold Cider',
    motto: 'Forty trees, nine kinds of apple',
    platform: 'hand-coded',
    cacheMinutes: 0,
    theme: { heading: 'Spectral', body: 'Karla', ink: '#2c3320', ground: '#fcfcf5', accent: '#6b7f1e', band: '#e7ecd0', contentWidth: 960, sidebarWidth: 300, sidebarAt: 'right', head: 'plain' },
    pages: [
      page('/', 'Home', 'Pressed in October, bottled in March, gone by August.'),
      page('/orchard', 'Orchard', 'The oldest tree was here before the wall. Sheep keep the grass short and the windfalls few.'),
      page('/club', 'Cider club', 'Members get the first bottles and the last apples.'),
    ],
  },
  {
    host: 'windle-knot',
    name: 'Windle Knot Museum',
    motto: 'Rope, twine and what they held',
    platform: 'cms',
    cacheMinutes: 240,
    theme: { heading: 'Spectral', body: 'Cabin', ink: '#23303a', ground: '#fffdf9', accent: '#8a3b4f', band: '#d9e2e6', contentWidth: 1100, sidebarWidth: 300, sidebarAt: 'right', head: 'plain' },
    pages: [
      page('/', 'Home', 'Four rooms and a rope walk of two hundred paces. The longest splice in the collection took a winter.'),
      page('/collection', 'Collection', 'Some nine hundred knots, of which eleven are not in any book.'),
      page('/visit', 'Visit', 'Open from Wednesday to Sunday. The rope walk is closed when it rains sideways.'),
      page('/learn', 'Learn', 'Tie your first bowline in an afternoon; untie it the same day.'),
      page('/members', 'Members', 'Friends of the museum get the key to the reading room.'),
    ],
  },
  {
    host: 'tarnside-vets',
    name: 'Tarnside Vets',
    motto: 'For everything with a pulse',
    platform: 'cms',
    cacheMinutes: 30,
    theme: { heading: 'Karla', body: 'Karla', ink: '#1f3a3a', ground: '#f7fbfa', accent: '#0f7a72', band: '#cfe9e4', contentWidth: 1040, sidebarWidth: 290, sidebarAt: 'right', head: 'plain' },
    pages: [
      page('/', 'Home', 'Two vets, one nurse and a waiting room with two doors, so that cats need not meet dogs.'),
      page('/opening-hours', 'Opening hours', 'Weekdays from eight to six; Saturdays until noon. At night, ring twice.'),
      page('/advice', 'Advice', 'When to worry, when to wait, and what not to feed a tortoise.'),
    ],
  },
  {
    host: 'pollard-cycles',
    name: 'Pollard Cycles',
    motto: 'Mended while you wait',
    platform: 'hand-coded',
    cacheMinutes: 15,
    theme: { heading: 'Cabin', body: 'Cabin', ink: '#262626', ground: '#ffffff', accent: '#b8472a', band: '#f2c14e', contentWidth: 1160, sidebarWidth: 260, sidebarAt: 'left', head: 'band' },
    pages: [
      page('/', 'Home', 'We mend what can be mended and say so when it cannot.'),
      page('/hire', 'Hire', 'Bicycles by the day, with a map on which the hills are drawn honestly.'),
      page('/workshop', 'Workshop', 'A service takes a day; a puncture takes one cup of tea.'),
    ],
  },
  {
    host: 'ninefold-choir',
    name: 'Ninefold Choir',
    motto: 'Nine voices, more on Thursdays',
    platform: 'hand-coded',
    cacheMinutes: 0,
    theme: { heading: 'Alegreya', body: 'Nunito Sans', ink: '#2d2238', ground: '#fdfbff', accent: '#7a3f8f', band: '#efe4f5', contentWidth: 920, sidebarWidth: 300, sidebarAt: 'right', head: 'centred' },
    pages: [
      page('/', 'Home', 'We sing in the net loft, because it has the best echo on the isles.'),
      page('/concerts', 'Concerts', 'The winter concert is on the shortest day, by candle light.'),
    ],
  },
]

export const siteByHost = new Map(sites.map((site) => [site.host, site]))
