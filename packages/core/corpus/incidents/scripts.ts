import { ours } from '../site'
import { element, one, script, scriptAs, wrapped, type Incident } from './pieces'

export const scripts: Incident[] = [
  one(
    'made plain text by a consent tool',
    scriptAs(script.replace('<script', '<script type="text/plain" data-category="marketing"')),
    ['script-stripped'],
  ),
  one('put off by a delay tool', scriptAs(script.replace('<script', '<script type="later/javascript"')), [
    'script-stripped',
  ]),
  one('made a module', scriptAs(script.replace('<script', '<script type="module"')), ['script-stripped']),
  one('for old browsers only', scriptAs(script.replace('<script', '<script nomodule')), ['script-stripped']),
  one('its address moved', scriptAs(script.replace(' src=', ' data-src=')), ['script-stripped']),
  one('its address moved to a name of its own', scriptAs(script.replace(' src=', ' data-held-src=')), [
    'script-stripped',
  ]),
  one('in a template', scriptAs(wrapped('template', script)), ['script-stripped']),
  one('in a comment', scriptAs(`<!-- ${script} -->`), ['script-stripped']),
  one('with a type that runs', scriptAs(script.replace('<script', '<script type="text/javascript"')), []),
  one(
    'with a type that runs, in capitals and with its letters',
    scriptAs(script.replace('<script', '<script type="Text/JavaScript; charset=utf-8"')),
    ['script-stripped'],
  ),
  one('with an old language', scriptAs(script.replace('<script', '<script language="javascript"')), []),
  one('with an empty type', scriptAs(script.replace('<script', '<script type=""')), []),
  one('without a scheme', scriptAs(script.replace('https:', '')), []),
  one(
    'loaded by a script of the page',
    scriptAs(
      `<script>(function(d){var s=d.createElement('script');s.src='${ours}/strand.js';d.head.appendChild(s)})(document)</script>`,
    ),
    [],
  ),
  { name: 'elsewhere on the page', looks: (s) => [s.both(element, script)], says: [] },
  { name: 'in the head', looks: (s) => [s.with(element).replace('</head>', `${script}</head>`)], says: [] },
  one('one held back, one that runs', scriptAs(script.replace('<script', '<script type="text/plain"') + script), []),
]
