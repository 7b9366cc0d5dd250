import { install, ours } from '../site'
import { attribute, frame, frameAs, framed, inline, one, wrapped, type Incident } from './pieces'

export const frames: Incident[] = [
  one(
    'zero wide',
    frameAs((f) => f.replace('width="300"', 'width="0"')),
    ['no-width'],
    framed,
  ),
  one(
    'zero wide by style',
    frameAs((f) => f.replace('border:0', 'width:0;border:0')),
    ['no-width'],
    framed,
  ),
  one(
    'a least width above the place',
    frameAs((f) => f.replace('border:0', 'min-width:480px;border:0')),
    ['no-width'],
    framed,
  ),
  one(
    'as wide as the window',
    frameAs((f) => f.replace('width="300"', '').replace('border:0;max-width:100%', 'width:100vw')),
    ['no-width'],
    framed,
  ),
  one(
    'as wide as its place at most',
    frameAs((f) => f.replace('width="300"', '').replace('border:0;max-width:100%', 'width:min(100%,300px)')),
    [],
    framed,
  ),
  one(
    'put off, a blank page first',
    frameAs((f) => f.replace('src="', 'src="about:blank" data-src="')),
    [],
    framed,
  ),
  one(
    'put off, an empty picture first',
    frameAs((f) => f.replace('src="', 'src="data:text/html;base64,PGh0bWw+" data-lazy-src="')),
    [],
    framed,
  ),
  one(
    'put off by another attribute',
    frameAs((f) => f.replace(' src=', ' data-original=')),
    [],
    framed,
  ),
  one(
    'put off, with a copy in noscript',
    frameAs((f) => f.replace('src="', 'src="about:blank" data-src="')) + wrapped('noscript', frame),
    [],
    framed,
  ),
  one(
    'held until agreed',
    frameAs((f) => f.replace(' src=', ' data-consent-category="media" data-consent-src=')),
    ['blocked'],
    framed,
  ),
  one(
    'a button in its place',
    `<div class="video-facade" data-embed="${ours}/f/${install}"><button>Click to load</button></div>`,
    ['blocked'],
    framed,
  ),
  one('within a frame of its own', `<iframe width="300" height="420" srcdoc="${attribute(inline)}"></iframe>`, []),
  one(
    'within a frame that lets no script run',
    `<iframe width="300" height="420" sandbox srcdoc="${attribute(inline)}"></iframe>`,
    ['blocked'],
  ),
  one(
    'within a frame that lets scripts run',
    `<iframe width="300" height="420" sandbox="allow-scripts allow-same-origin" srcdoc="${attribute(inline)}"></iframe>`,
    [],
  ),
  one(
    'as an object',
    `<object data="${ours}/f/${install}" type="text/html" width="300" height="400"></object>`,
    [],
    framed,
  ),
  one('as an embed', `<embed src="${ours}/f/${install}" type="text/html" width="300" height="400">`, [], framed),
  one(
    "another's frame at a path like ours",
    `<iframe src="https://forms.example/f/contact-us" width="300"></iframe>`,
    ['absent'],
    framed,
  ),
  one(
    'from the old address',
    frameAs((f) => f.replace(ours, 'https://old.example')),
    ['wrong-host'],
    framed,
  ),
]
