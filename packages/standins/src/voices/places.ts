/** What somebody said of a place. Stars 0: words only. */
export interface Voice {
  author: string
  stars: number
  daysAgo: number
  text: string
  language?: string
  /** So many pictures were sent along. */
  pictures?: number
  /** The owner's answer, some days later. */
  reply?: string
}

export interface Place {
  /** As the service knows it. */
  id: string
  /** The end of its page's address. */
  slug: string
  name: string
  category: string
  /** Null for a business that comes to people: searching for its name does not find it. */
  address: string | null
  position: { lat: number; lon: number }
  /** What all reviews come to, and how many there are; those not written out below are made up in crowd.ts. */
  stated: { mean: number; count: number }
  voices: Voice[]
  /** Days and hours, as the older property of schema.org writes them. */
  openingHours?: string[]
}

const voice = (author: string, stars: number, daysAgo: number, text: string, more: Partial<Voice> = {}): Voice => ({
  author,
  stars,
  daysAgo,
  text,
  ...more,
})

// Places of the Skerrow Isles and what was said of them. All invented.
export const places: Place[] = [
  {
    id: 'hv7k2mq94xw0tb',
    slug: 'gullhaven-ferries',
    name: 'Gullhaven Ferries',
    category: 'Ferry company',
    address: 'The old salt store, Gullhaven',
    position: { lat: 57.412, lon: -8.214 },
    stated: { mean: 4.4, count: 1286 },
    voices: [
      voice(
        'Petra Lowell',
        5,
        1,
        'Left on time and arrived on time, with the wind on the nose all the way. The crew were friendly and carried my bicycle.',
      ),
      voice('Joss Kerrigan', 4, 3, 'Good boats, good coffee, not enough of either at six in the morning.', {
        reply: 'A second pot is on from Monday. The boat will take longer.',
      }),
      voice('Maren Tolve', 5, 6, 'Nach drei Jahren wieder hier: dieselbe freundliche Besatzung, derselbe Hund.', {
        language: 'de',
      }),
      voice(
        'A. Fairlie',
        2,
        9,
        'Two hours late because of fog. Nobody’s fault, but somebody could have told us sooner.',
        { reply: 'You are right. Delays are now sent to your telephone.' },
      ),
      voice('Colm Anstey', 5, 12, ''),
      voice('Sunniva Berg', 5, 15, 'Best crossing of the isles. Sit at the back on the left and look out for seals.'),
      voice('Theo Marchmont', 3, 21, 'It is a ferry. It floats. The saloon wants new cushions.'),
      voice(
        'Ilse Draper',
        5,
        28,
        'Friendly crew, on time, and they found my umbrella. Then they found two more that were also mine.',
      ),
      voice('Yusuf Hale', 4, 33, 'Easy with a wheelchair since the second ramp opened.'),
      voice('Noor Pettifer', 1, 47, 'My beehive was refused.', {
        reply: 'Beehives are welcome with a day’s notice and a lid.',
      }),
      voice('Élodie Marsh', 5, 52, 'Une traversée magnifique, équipage charmant.', { language: 'fr' }),
      voice('Rafe Holloway', 4, 60, 'On time four days out of five, which is better than my train.'),
    ],
  },
  {
    id: 'hv3c9n5r1yz8dw',
    slug: 'orrin-kiln',
    name: 'Orrin Kiln Pottery',
    category: 'Pottery and workshop',
    address: 'Kiln Lane 4, Orrin',
    position: { lat: 57.431, lon: -8.187 },
    openingHours: ['Tu-Fr 10:00-12:30,14:00-18:00', 'Sa 10:00-16:00'],
    stated: { mean: 4.8, count: 214 },
    voices: [
      voice(
        'Greta Sund',
        5,
        2,
        'I made a bowl in the afternoon workshop and it holds soup. The teacher was patient with all eleven of us.',
      ),
      voice(
        'Hugh Pennant',
        5,
        5,
        'The blue glaze is deeper than in the pictures. They engraved my daughter’s name on the foot of the cup.',
        { reply: 'It was a pleasure. The engraving is Marit’s hand.' },
      ),
      voice(
        'Bea Rowntree',
        4,
        11,
        'Lovely mugs. One arrived with a chip and was replaced within the week, engraving and all.',
      ),
      voice(
        'Simon Achterberg',
        5,
        19,
        'Wat een mooie werkplaats. We kwamen voor een kopje en gingen met een servies naar huis.',
        { language: 'nl' },
      ),
      voice('Freya Dunmore', 5, 26, 'Ask to see the kiln being opened. It is like Christmas with heat.'),
      voice('Paul Estrin', 3, 40, 'Fine pots, dear post.'),
      voice(
        'Aoife Lund',
        5,
        44,
        'Our wedding plates, each with a letter engraved. Not one of forty is alike and all of them match.',
      ),
      voice('K. Vane', 5, 58, ''),
    ],
  },
  {
    id: 'hv0q6t8j2mk4fx',
    slug: 'skerrow-observatory',
    name: 'Skerrow Observatory',
    category: 'Observatory',
    address: 'The Rise, Skerrow',
    position: { lat: 57.455, lon: -8.24 },
    stated: { mean: 4.7, count: 540 },
    voices: [
      voice(
        'Wendel Ashe',
        5,
        4,
        'Clouds until ten, then everything at once. The talk before it made the waiting short.',
      ),
      voice('Cora Inglis', 5, 8, 'They let the children turn the dome. Mine have asked for one at home.'),
      voice('Tomasz Reed', 4, 14, 'Świetny przewodnik i prawdziwa ciemność. Zabierzcie ciepłe ubranie.', {
        language: 'pl',
      }),
      voice('Lena Frost', 5, 23, 'Saturn looked back at me.'),
      voice('Magnus Oake', 2, 31, 'Cold, and no tea after nine.', {
        reply: 'The kettle now stays on until the dome closes.',
      }),
      voice(
        'Dara Quill',
        5,
        50,
        'The best talk about the moon that I have heard, given by somebody who plainly likes it.',
      ),
    ],
  },
  {
    id: 'hv9b1x7s5pd3gn',
    slug: 'tarnside-vets',
    name: 'Tarnside Vets',
    category: 'Veterinary practice',
    address: 'Mill Brow 11, Tarnside',
    position: { lat: 57.398, lon: -8.169 },
    stated: { mean: 4.6, count: 388 },
    voices: [
      voice(
        'Ottilie Brand',
        5,
        2,
        'They came out in the storm for a cow that was not even ours. Calm, kind, and clear about the bill.',
      ),
      voice('Ned Falconer', 5, 7, 'Our old dog was never afraid here. That says more than stars do.', {
        reply: 'He was a gentleman to the end.',
      }),
      voice('Priya Denholm', 4, 16, 'Kind people and a long wait. Bring a book for you and a blanket for the cat.'),
      voice('Ruben Thorne', 1, 24, 'My parrot repeats what the receptionist said.', {
        reply: 'We have spoken with the receptionist. And with the parrot.',
      }),
      voice('Sal Whitmore', 5, 37, 'Rang at night, was answered at once, and told calmly what to do.'),
      voice('Ines Carrow', 5, 55, 'Kind, quick, and they remember every name. The animals’ too.'),
    ],
  },
  {
    id: 'hv5w4h0z6cr2qy',
    slug: 'windle-knot-museum',
    name: 'Windle Knot Museum',
    category: 'Museum',
    address: 'Ropewalk 2, Windle',
    position: { lat: 57.387, lon: -8.233 },
    stated: { mean: 4.1, count: 173 },
    voices: [
      voice('Edmund Sayer', 5, 5, 'I went in for the rain and came out able to tie a Windle bend.'),
      voice('Tilda Marsh', 4, 13, 'More rope than I thought possible. The bill for tar is the best thing in it.'),
      voice('Joon Adair', 3, 29, 'Charming, small, and closed on the day the sign said open.', {
        reply: 'The sign has been told.',
      }),
      voice('Bridie Olsen', 5, 41, 'The guide tied a knot in my scarf that I still cannot undo.'),
    ],
  },
  {
    id: 'hv2d8m3f7jt9kv',
    slug: 'new-jetty-cafe',
    name: 'New Jetty Café',
    category: 'Café',
    address: 'The new jetty, Orrin',
    position: { lat: 57.429, lon: -8.19 },
    stated: { mean: 0, count: 0 },
    voices: [],
  },
  {
    id: 'hv8r5k1v3nb6wz',
    slug: 'skerrow-light-railway',
    name: 'Skerrow Light Railway',
    category: 'Railway',
    address: 'Upper station, Skerrow',
    position: { lat: 57.451, lon: -8.228 },
    stated: { mean: 4.3, count: 4000 },
    voices: [
      voice('Quentin Ross', 5, 1, 'Four miles in forty minutes and I would not have missed one of them.', {
        pictures: 2,
      }),
      voice('Hana Kimura', 5, 4, '窓から海が見えて、車掌さんがとても親切でした。', { language: 'ja' }),
      voice('Yael Navon', 4, 6, 'נסיעה איטית ויפה, והכרטיסן סיפר סיפורים כל הדרך.', { language: 'he' }),
      voice('Bram Postma', 3, 8, 'Mooie rit, maar het regende door het dak van de tweede wagon.', { language: 'nl' }),
    ],
  },
  {
    id: 'hv4z7g2c9xm5ht',
    slug: 'lamp-room-gullhaven',
    name: 'The Lamp Room',
    category: 'Tea room',
    address: 'Harbour steps 3, Gullhaven',
    position: { lat: 57.411, lon: -8.212 },
    stated: { mean: 4.5, count: 96 },
    voices: [voice('Ada Moy', 5, 3, 'Scones the size of a lighthouse keeper’s fist.')],
  },
  {
    id: 'hv6j0w8y1sq3cr',
    slug: 'lamp-room-orrin',
    name: 'The Lamp Room',
    category: 'Lamps and repairs',
    address: 'Wick Street 9, Orrin',
    position: { lat: 57.43, lon: -8.185 },
    stated: { mean: 4.9, count: 31 },
    voices: [voice('Piet Lamond', 5, 10, 'Mended a lamp that my grandmother had given up on.')],
  },
  {
    id: 'hv1t5p7d4gk0bn',
    slug: 'sels-boat-repairs',
    name: 'Sel’s Boat Repairs',
    category: 'Boat builder who comes to you',
    address: null,
    position: { lat: 57.42, lon: -8.2 },
    stated: { mean: 4.7, count: 58 },
    voices: [
      voice('Wren Halloran', 5, 5, 'Came across in his own boat to mend mine. That is the best reference there is.', {
        pictures: 1,
      }),
    ],
  },
]
