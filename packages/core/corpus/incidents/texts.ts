import { install } from '../site'
import { escaped, frame, framed, inline, one, wrapped, type Incident } from './pieces'

export const code = escaped(inline)

export const texts: Incident[] = [
  one('escaped', wrapped('p', code), ['shown-as-text']),
  one('escaped three times', wrapped('p', escaped(escaped(code)).replace(/"/g, '&amp;amp;quot;')), ['shown-as-text']),
  one(
    'in pieces, as a highlighter writes',
    `<pre class="code"><code><span class="p">&lt;</span><span class="t">div</span> <span class="a">data</span><span class="p">-</span><span class="a">pebblestrand</span><span class="o">=</span><span class="s">"${install.replace(/-/g, '</span><span class="p">-</span><span class="s">')}"</span><span class="p">&gt;</span></code></pre>`,
    ['shown-as-text'],
  ),
  one(
    'with soft hyphens',
    wrapped('p', code.replace('data-pebblestrand', 'data-peb\u00adble\u00adstrand').replace('pk7h2', 'pk7\u00adh2')),
    ['shown-as-text'],
  ),
  one(
    'with break marks',
    wrapped('p', code.replace(install, install.replace(/-/g, '-<wbr>')).replace('pebblestrand', 'pebble<wbr>strand')),
    ['shown-as-text'],
  ),
  one('with primes', wrapped('p', code.replace(/"/g, '″')), ['shown-as-text']),
  one('with other hyphens', wrapped('p', code.replace(/-/g, '‑')), ['shown-as-text']),
  one('in capitals', wrapped('p', code.toUpperCase().replace(/&LT;/g, '&lt;').replace(/&GT;/g, '&gt;')), [
    'shown-as-text',
  ]),
  one(
    'a line in each row',
    `<table><tr><td>1</td><td>&lt;div data-pebblestrand="${install}"</td></tr><tr><td>2</td><td>style="min-height:400px"&gt;</td></tr></table>`,
    ['shown-as-text'],
  ),
  one('in a text area', wrapped('textarea', code), ['shown-as-text']),
  one('a frame, escaped', wrapped('p', escaped(frame)), ['shown-as-text'], framed),
  one('in noembed', wrapped('noembed', inline), ['inert']),
  one('in noframes', wrapped('noframes', inline), ['inert']),
  one("in another frame's fallback", `<iframe src="https://maps.example/"> ${inline} </iframe>`, ['inert']),
  one('in a comment', `<!-- ${inline.replace(/<!--.*-->\n/, '')} -->`, ['inert']),
  one('in a template', wrapped('template', inline), ['inert']),
  one('in noscript', wrapped('noscript', inline), ['inert']),
  one('in a hidden place', `<div style="display:none">${inline}</div>`, ['hidden']),
  one('in a hidden place, by attribute', `<div hidden>${inline}</div>`, ['hidden']),
  {
    name: 'a page of frames',
    looks: () => [
      '<html><head><title>x</title></head><frameset cols="20%,80%"><frame src="a.html"><frame src="b.html"></frameset></html>',
    ],
    says: ['unreachable'],
  },
]
