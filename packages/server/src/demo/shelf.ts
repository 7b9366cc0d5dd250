import type { TypedPick } from '@pebblestrand/contract'

/** Where the pictures of picks are drawn, and what is picked at the paper. */
interface Origins {
  frames: string
  post: string
  films: string
}

/** What the knot museum recommends to its visitors. All invented. */
export function shelf({ frames, post, films }: Origins): Partial<TypedPick>[] {
  const drawn = (name: string, width = 900, height = 600) => ({
    url: `${frames}/drawn/${name}-${width}x${height}.jpg`,
    width,
    height,
    alt: '',
  })
  return [
    {
      title: 'The Splicer’s Year',
      text: 'Twelve knots, one for each month, and what the weather has to do with it. At the desk, 14.',
      site: 'Windle Knot Museum',
      picture: drawn('knot-shelf-1'),
      labels: ['shelf'],
    },
    {
      title: 'Boats of the inner sound',
      text: 'Every hull that was built between the two piers, with the names of those who built them.',
      site: 'Harbour Almanac',
      picture: drawn('boat-shelf-2'),
      labels: ['shelf'],
    },
    {
      title: 'A clock that keeps to the tide',
      text: 'Thin, odd and delightful. The drawings alone are worth the ferry.',
      site: 'Windle Knot Museum',
      picture: drawn('clock-shelf-3'),
      labels: ['shelf'],
    },
    {
      title: 'Wheels, hubs and hemp',
      text: 'How rope drove a workshop before there was a wire on the isle.',
      site: 'Pollard Cycles',
      picture: drawn('wheel-shelf-4'),
      labels: ['shelf'],
    },
    {
      title: 'Steering by what you see',
      text: 'For clear nights and for those who would like to believe in them.',
      site: 'Skerrow Observatory',
      picture: drawn('stars-shelf-5'),
      labels: ['shelf', 'to read'],
    },
    {
      title: 'The harbour cat’s own log',
      text: '',
      site: '',
      picture: drawn('cat-shelf-6'),
      labels: ['shelf'],
    },
    {
      title: 'The knot that nobody can untie',
      text: 'The paper came to try, and says how far it got.',
      link: `${post}/culture/knot-lecture`,
      site: 'Skerrow Post',
      picture: null,
      labels: ['to read'],
    },
    {
      title: 'Net loft gets its roof back before the gales',
      text: 'Where our oldest rope was found.',
      link: `${post}/harbour/net-loft`,
      site: 'Skerrow Post',
      picture: drawn('boat-shelf-8'),
      labels: ['to read'],
    },
    {
      title: 'A bowline in nine seconds',
      text: 'Our own film. Slower than it looks.',
      link: `${films}/watch?film=mf-4u8i2o6p`,
      site: 'Moving Shore',
      picture: drawn('knot-shelf-9'),
      labels: ['to watch'],
    },
  ]
}
