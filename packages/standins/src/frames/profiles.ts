import type { Scene } from '../drawing/scenes'

/** A profile of the photo service, as it was born. */
export interface Profile {
  /** Stays when the handle changes. */
  id: string
  handle: string
  name: string
  bio: string
  website: string | null
  followers: number
  following: number
  /** What it shows, and what it says of that; each goes round. */
  scenes: readonly Scene[]
  captions: readonly string[]
  posts: number
  /** Only those it lets in see its posts. */
  isPrivate?: boolean
  /** It was called so before. */
  formerly?: string
  /** Closed: neither it nor its posts are to be had. */
  isClosed?: boolean
}

export const profiles: readonly Profile[] = [
  {
    id: 'if4h2k8m1q7z',
    handle: 'gullhaven.ferries',
    name: 'Gullhaven Ferries',
    bio: 'Six boats, eleven piers and one harbour dog. Timetables on our site, weather as it comes.',
    website: 'http://gullhaven.localhost/',
    followers: 4210,
    following: 87,
    scenes: ['boat', 'boat', 'shore'],
    captions: [
      'First boat out, and nobody but the dog aboard. #morningboat',
      'The second ramp is open. Cars went on in nine minutes, we counted. #gullhaven',
      'Flat calm off the skerry. The photographer was seasick all the same. #calm #skerrow',
      'Bicycles travel free, beehives by arrangement. With @pollard.cycles',
      'Painting day: she keeps her red. #winterwork',
      'Orrin from the top deck, with plates for @orrin.kiln in the hold.',
    ],
    posts: 36,
  },
  {
    id: 'if9b3w5x2c6t',
    handle: 'orrin.kiln',
    name: 'Orrin Kiln Pottery',
    bio: 'Stoneware from the clay under our own field. Fired three days and two nights.',
    website: 'http://orrin-kiln.localhost/',
    followers: 9830,
    following: 212,
    scenes: ['pot'],
    captions: [
      'Out of the kiln this morning, still singing. #glaze #firing',
      'Blue over white. It never comes out twice the same. #glaze',
      'Throwing on a Sunday, for the quiet. #wheelthrown',
      'A jug for @gullhaven.ferries: it has to stand in a swell.',
      'Seconds shelf is full again. Come and rummage. #seconds #orrin',
      'Letters engraved by hand, before the glaze. #engraving',
      'The cat knocked over nothing today. #studiocat',
    ],
    posts: 44,
    formerly: 'orrin.pottery',
  },
  {
    id: 'if1d7p4r9v3n',
    handle: 'windle.knot',
    name: 'Windle Knot Museum',
    bio: 'Four hundred knots, thirty clocks, one rope that nobody can explain.',
    website: 'http://windle-knot.localhost/',
    followers: 1320,
    following: 40,
    scenes: ['knot', 'clock'],
    captions: [
      'Case 14 is open again. The turk’s head took a fortnight. #knots',
      'Wound every Thursday since 1911. #clocks',
      'Bell rope, original or copy? Tell us on Saturday. #knots #archive',
      'This one loses a minute a year and we have forgiven it. #clocks',
    ],
    posts: 20,
  },
  {
    id: 'if6s8y2u5k1j',
    handle: 'skerrow.observatory',
    name: 'Skerrow Observatory',
    bio: 'The darkest sky this side of the sound. Dome open on clear Fridays.',
    website: null,
    followers: 15_400,
    following: 61,
    scenes: ['stars'],
    captions: [
      'Sixty an hour, and a flask of tea. #meteors #skerrow',
      'Seen between two clouds. #darksky',
      'The dome at two in the morning. #darksky #dome',
      'Winter constellations, with names the harbour gives them. #stars',
    ],
    posts: 28,
  },
  {
    id: 'if3m5c7h9g2d',
    handle: 'tarnside.vets',
    name: 'Tarnside Vets',
    bio: 'Small animals, large patience.',
    website: 'http://tarnside-vets.localhost/',
    followers: 2050,
    following: 118,
    scenes: ['cat'],
    captions: [
      'Pickle, after. She has opinions about the collar. #patientoftheweek',
      'Weighed, wormed and not amused. #patientoftheweek',
      'On the window sill since nine. #waitingroom',
      'Who owns this gentleman? Found by the slipway. #lostandfound With @gullhaven.ferries',
    ],
    posts: 24,
  },
  {
    id: 'if8t1z4b6f3q',
    handle: 'pollard.cycles',
    name: 'Pollard Cycles',
    bio: 'Repairs while the ferry turns round.',
    website: 'http://pollard-cycles.localhost/',
    followers: 760,
    following: 300,
    scenes: ['wheel'],
    captions: [
      'True again. #wheelbuilding',
      'Thirty-six spokes and one good evening. #wheelbuilding',
      'Hire bikes are out for the season. #hire #skerrow',
    ],
    posts: 18,
  },
  {
    id: 'if2x6n8w1l5r',
    handle: 'brackenfold',
    name: 'Brackenfold Cider',
    bio: 'Eleven sorts of apple and a press older than the road.',
    website: 'http://brackenfold.localhost/',
    followers: 3340,
    following: 150,
    scenes: ['orchard', 'orchard', 'shore'],
    captions: [
      'Picking starts with the early reds. #harvest #orchard',
      'Windfalls are for the pigs, mostly. #orchard',
      'Press day. Bring a bucket. #harvest #skerrow',
    ],
    posts: 30,
  },
  {
    id: 'if5v9k3e7y8s',
    handle: 'isles.every.hour',
    name: 'The Isles, Every Hour',
    bio: 'A picture an hour, from everybody.',
    website: null,
    followers: 22_100,
    following: 3,
    scenes: ['boat', 'pot', 'cat', 'stars', 'orchard', 'wheel', 'knot', 'clock', 'shore'],
    captions: ['On the hour. #skerrow', 'An hour later. #skerrow', 'And so it goes on. #everyhour'],
    posts: 240,
  },
  {
    id: 'if7q4j2a6d9m',
    handle: 'ninefold.choir',
    name: 'Ninefold Choir',
    bio: 'Rehearsals are private, concerts are not.',
    website: 'http://ninefold-choir.localhost/',
    followers: 190,
    following: 44,
    scenes: ['shore', 'clock'],
    captions: ['Second altos, by the stove. #rehearsal', 'Sopranos late again. #rehearsal'],
    posts: 16,
    isPrivate: true,
  },
  {
    id: 'if1g3o5i7u9p',
    handle: 'old.harbour',
    name: 'Old Harbour Snapshots',
    bio: '',
    website: null,
    followers: 0,
    following: 0,
    scenes: ['shore'],
    captions: ['Gone.'],
    posts: 5,
    isClosed: true,
  },
  {
    id: 'if4e6a8c2k1w',
    handle: 'new.jetty',
    name: 'New Jetty Café',
    bio: 'Opening soon.',
    website: null,
    followers: 12,
    following: 30,
    scenes: ['shore'],
    captions: ['Soon.'],
    posts: 0,
  },
]

/** People who own profiles, as the consent page knows them. */
export const accounts = [
  { id: 'choir-office', name: 'Ninefold Choir', owns: ({ handle }: Profile) => handle === 'ninefold.choir' },
  { id: 'isles-office', name: 'Skerrow Isles Office', owns: ({ handle }: Profile) => handle !== 'ninefold.choir' },
]
