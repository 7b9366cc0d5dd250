import type { Scene } from '../drawing/scenes'

/** A film as the service was born with it; `daysAgo` from when the stand-ins began. */
export interface Film {
  id: string
  title: string
  about: string
  seconds: number
  daysAgo: number
  scene: Scene
}

export interface Channel {
  /** As it stands in addresses of channels. */
  id: string
  /** As it stands in addresses of users. */
  user: string
  name: string
  /** What it says of itself. */
  about: string
  films: Film[]
}

const film = (id: string, title: string, seconds: number, daysAgo: number, scene: Scene, about = ''): Film => ({
  id,
  title,
  about,
  seconds,
  daysAgo,
  scene,
})

export const channels: readonly Channel[] = [
  {
    id: 'mc-4k7t2p9x',
    user: 'skerrowobservatory',
    name: 'From Under the Dome',
    about: 'The sky over Skerrow, filmed through one very clean mirror.',
    films: [
      film('mf-8q2w5e1r', 'Ten minutes of shooting stars', 634, 3, 'stars', 'Filmed from the gallery, wind and all.'),
      film('mf-3t6y9u2i', 'How the dome is turned', 212, 11, 'stars', 'By hand. It takes two, and one of them sings.'),
      film('mf-5o1p4a7s', 'Winter sky for beginners', 1485, 25, 'stars'),
      film('mf-7d3f6g9h', 'Cleaning the mirror', 398, 40, 'stars', 'Once in eight years, with cotton wool.'),
      film('mf-2j5k8l1z', 'The night the lights went out', 912, 61, 'stars'),
      film('mf-9x4c7v2b', 'Questions from the school', 1103, 80, 'stars'),
    ],
  },
  {
    id: 'mc-9b3n6m1q',
    user: 'windleknot',
    name: 'Knots on Film',
    about: 'Rope, slowly. Clocks, too.',
    films: [
      film(
        'mf-6n1m4q8w',
        'The turk’s head, slowly',
        745,
        6,
        'knot',
        'Twice over, the second time with the camera behind.',
      ),
      film('mf-1e5r9t3y', 'Winding the tower clock', 187, 19, 'clock'),
      film('mf-4u8i2o6p', 'A bowline in nine seconds', 58, 33, 'knot'),
      film('mf-0a3s7d5f', 'Clocks that lie', 520, 47, 'clock', 'And what they are forgiven.'),
    ],
  },
  { id: 'mc-2z5x8c1v', user: 'newjetty', name: 'New Jetty Café', about: '', films: [] },
]

/** Films that somebody has put together, across channels. */
export const lists: readonly { id: string; name: string; films: readonly string[] }[] = [
  { id: 'ml-7h2j5k9l', name: 'Rainy afternoons', films: ['mf-6n1m4q8w', 'mf-5o1p4a7s', 'mf-1e5r9t3y'] },
]

export const filmOf = (id: string): { film: Film; channel: Channel } | undefined =>
  channels.flatMap((channel) => channel.films.map((one) => ({ film: one, channel }))).find((one) => one.film.id === id)
