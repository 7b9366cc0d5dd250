import { install, ours } from '../site'
import { at, attribute, bare, frameAs, framed, inline, leaving, one, wrapped, type Incident } from './pieces'
import { code } from './texts'

export const gone: Incident[] = [
  {
    name: 'an error proves nothing',
    looks: () => [{ status: 404, html: bare('x', '') }],
    plan: leaving,
    says: ['unreachable'],
  },
  {
    name: 'a question to robots proves nothing',
    looks: () => [bare('Just a moment...', '<p>Checking your browser</p>')],
    plan: leaving,
    says: ['unreachable'],
  },
  { name: 'an empty page proves nothing', looks: () => [bare('x', '')], plan: leaving, says: ['unreachable'] },
  {
    name: 'a page elsewhere proves nothing',
    looks: (s) => [{ finalUrl: `${at}/sailings`, html: s.empty }],
    plan: leaving,
    says: ['moved'],
  },
  one('the link was left', `<p><a href="${ours}/v/${install}">Harbour news</a></p>`, ['still-there'], leaving),
  one('an emptied element was left', `<div data-pebblestrand="${install}"></div>`, ['still-there'], leaving),
  one(
    'a frame put off was left',
    frameAs((f) => f.replace('src="', 'src="about:blank" data-lazy-src="')),
    ['still-there'],
    { ...leaving, ...framed },
  ),
  one('one within a frame was left', `<iframe srcdoc="${attribute(inline)}"></iframe>`, ['still-there'], leaving),
  one('its code was left', wrapped('p', code), ['still-there'], leaving),
  one('commented out', `<!-- ${inline.replace(/<!--.*-->\n/, '')} -->`, [], leaving),
]
