/** Pieces that made-up reviews are put together from, by language: how one begins, what one praises, what one grumbles at. */
export interface Said {
  language: string
  /** Of a hundred reviews. */
  share: number
  names: string[]
  openings: string[]
  good: string[]
  bad: string[]
}

export const said: Said[] = [
  {
    language: 'en',
    share: 62,
    names: [
      'Alder Finch',
      'Maud Pettigrew',
      'Oskar Lindqvist',
      'Nia Prowse',
      'Gil Sorley',
      'Tamsin Rudd',
      'Hollis Crane',
      'Ewan Tavish',
      'Briar Cole',
      'Ines Wolde',
      'Kit Ravenhill',
      'Sorrel Teague',
      'Dov Harker',
      'Lotte Winslow',
      'Amos Tyler-Reeve',
      'Una McLarty',
    ],
    openings: [
      'We came on a wet Tuesday.',
      'Third visit this year.',
      'A present from my sister.',
      'Went with two children and a dog.',
      'Found it by chance.',
      'My grandfather worked here.',
    ],
    good: [
      'Friendly staff from the door to the till.',
      'Everything was on time.',
      'The friendly staff remembered us from last year.',
      'Worth the climb.',
      'Good value for money.',
      'The view alone is worth it.',
      'On time, clean and calm.',
      'They explained everything and were patient with questions.',
      'Easy with a pushchair.',
      'Good value for money and a warm room to wait in.',
      'The engraving was done while we waited.',
    ],
    bad: [
      'The queue was long.',
      'No card machine.',
      'It was colder inside than out.',
      'Nobody answered the telephone.',
      'The path wants mending.',
      'Parking is a matter of luck.',
    ],
  },
  {
    language: 'de',
    share: 12,
    names: ['Jörg Hahnemann', 'Wiebke Thoms', 'Käthe Sänger', 'Ulf Brockmann'],
    openings: ['Zum zweiten Mal hier.', 'Mit der ganzen Familie da gewesen.', 'Bei Regen gekommen.'],
    good: [
      'Sehr freundliches Personal.',
      'Alles war pünktlich und sauber.',
      'Freundliches Personal und gute Beratung.',
      'Die Aussicht ist wunderbar.',
    ],
    bad: ['Leider sehr lange gewartet.', 'Die Heizung war aus.', 'Etwas teuer.'],
  },
  {
    language: 'fr',
    share: 7,
    names: ['Maëlle Guérin', 'Anatole Perrot', 'Zoé Lacroix'],
    openings: ['Deuxième visite.', 'Une belle surprise.', 'Venus sous la pluie.'],
    good: [
      'Personnel très aimable.',
      'Un accueil chaleureux.',
      'Le personnel aimable nous a tout expliqué.',
      'Bon rapport qualité-prix.',
    ],
    bad: ['L’attente était longue.', 'Un peu cher.'],
  },
  {
    language: 'es',
    share: 6,
    names: ['Íñigo Bastida', 'Marisol Quesada', 'Lucía Ferrán'],
    openings: ['Segunda visita.', 'Fuimos en familia.'],
    good: [
      'Personal muy amable.',
      'Todo llegó a tiempo.',
      'El personal amable nos ayudó con las maletas.',
      'Muy buena relación calidad precio.',
    ],
    bad: ['Mucha espera.', 'Hacía frío.'],
  },
  {
    language: 'nl',
    share: 6,
    names: ['Jelle van der Waal', 'Fenna Dijkstra', 'Sjoerd Bakker'],
    openings: ['Voor de tweede keer hier.', 'Met de kinderen geweest.'],
    good: [
      'Vriendelijk personeel.',
      'Alles op tijd.',
      'Heel vriendelijk personeel en goede koffie.',
      'Prachtig uitzicht.',
    ],
    bad: ['Lang gewacht.', 'Wel wat duur.'],
  },
  {
    language: 'ja',
    share: 3,
    names: ['佐々木 恵', '中村 大輔'],
    openings: ['二回目の訪問です。', '雨の日に行きました。'],
    good: ['スタッフがとても親切でした。', '景色が素晴らしかったです。'],
    bad: ['少し待ちました。'],
  },
  {
    language: 'ar',
    share: 2,
    names: ['ليلى حداد', 'سامي عوض'],
    openings: ['زيارتنا الثانية.', 'جئنا مع الأطفال.'],
    good: ['الموظفون لطفاء جدا.', 'المكان نظيف وهادئ.'],
    bad: ['انتظرنا طويلا.'],
  },
  {
    language: 'he',
    share: 2,
    names: ['נועה ברק', 'אורי שמש'],
    openings: ['ביקור שני שלנו.'],
    good: ['צוות אדיב מאוד.', 'נוף יפהפה.'],
    bad: ['חיכינו הרבה זמן.'],
  },
]
