import { escape } from '../html'
import type { Place } from './places'
import type { Summary } from './service'
import type { KeptReview } from './state'

/** So many reviews stand on a place's page. */
export const ON_PAGE = 12

export const shell = (title: string, body: string, head = '') =>
  `<!DOCTYPE html><html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>${escape(title)} · Harbour Voices</title>
${head}<style>body{font:16px/1.55 "Liberation Sans",Arial,sans-serif;max-width:720px;margin:0 auto;padding:24px 20px 60px;color:#222}article{border-top:1px solid #ccc;padding:12px 0}b{color:#8a4a00}blockquote{margin:8px 0 0 18px;color:#555}textarea,code{display:block;width:100%;word-break:break-all}form{margin:16px 0;display:grid;gap:8px;justify-items:start}</style></head>
<body><header><strong>Harbour Voices</strong> <nav><a href="/">All places</a> <a href="/find">Find a place</a></nav></header><main>${body}</main></body></html>`

const listed = (found: readonly { place: Place; summary: Summary }[], href: (place: Place) => string) =>
  `<ul>${found
    .map(
      ({ place, summary }) =>
        `<li><a href="${escape(href(place))}">${escape(place.name)}</a>, ${escape(place.category.toLowerCase())}${place.address ? `, ${escape(place.address)}` : ''}${summary.count ? `, ${summary.mean} from ${summary.count}` : ''}</li>`,
    )
    .join('')}</ul>`

export const listing = (all: readonly { place: Place; summary: Summary }[]) =>
  shell('Places', `<h1>Places of the Skerrow Isles</h1>${listed(all, ({ slug }) => `/places/${slug}`)}`)

/** What was found leads to a page whose address names the place in its fragment. */
export const results = (words: string, found: readonly { place: Place; summary: Summary }[]) =>
  shell(
    'Find a place',
    `<h1>Find a place</h1><form action="/find"><label>Name or harbour <input name="q" value="${escape(words)}"></label><button>Find</button></form>` +
      (words
        ? found.length
          ? listed(found, ({ id }) => `/find?q=${encodeURIComponent(words)}#pick=${id}`)
          : '<p>No place is called that.</p>'
        : ''),
  )

export function placePage(place: Place, summary: Summary, newest: KeptReview[], origin: string): string {
  const { id, name, category, address } = place
  const head = `<link rel="canonical" href="${origin}/places/${place.slug}"><meta name="place" content="${id}">`
  const reviews = newest.map(
    ({ author, stars, createdAt, text, reply, language }) =>
      `<article${language === 'en' ? '' : ` lang="${language}"`} dir="auto"><b>${'★'.repeat(stars)}</b> ${escape(author)}, ${createdAt.slice(0, 10)}<p>${escape(text)}</p>${reply ? `<blockquote>${escape(reply.text)}</blockquote>` : ''}</article>`,
  )
  return shell(
    name,
    `<h1>${escape(name)}</h1><p>${escape(category)}${address ? `, ${escape(address)}` : ''}</p><p>${summary.count ? `${summary.mean} of 5 from ${summary.count}` : 'Nobody has said anything yet.'}</p>
<p><a href="/map?at=${place.position.lat},${place.position.lon}&amp;zoom=15&amp;place=${id}">On the map</a> · <a href="/places/${place.slug}/say">Say something</a> · <a href="/own/${id}">For its owner</a> · share <a href="/s/${shortOf(place)}">/s/${shortOf(place)}</a></p>${reviews.join('')}`,
    head,
  )
}

/** The end of a place's shortened address. */
export const shortOf = ({ id }: Place) => id.slice(2, 7)

export const embedOf = ({ id, name }: Place, origin: string) =>
  `<iframe src="${origin}/map/embed?zoom=15&amp;place=${id}" width="400" height="300" title="${escape(name)} on the map" loading="lazy"></iframe>`

export const mapPage = (place: Place, origin: string) =>
  shell(
    `${place.name} on the map`,
    `<h1>${escape(place.name)}</h1>${drawing(place)}<label>To show this map on another page<textarea rows="3" readonly>${escape(embedOf(place, origin))}</textarea></label>`,
  )

export const mapEmbed = (place: Place) =>
  `<!DOCTYPE html><html lang="en"><head><meta charset="utf-8"><title>${escape(place.name)}</title></head><body style="margin:0">${drawing(place)}</body></html>`

const drawing = ({ name, position: { lat, lon } }: Place) =>
  `<svg viewBox="0 0 400 260" width="100%" role="img" aria-label="${escape(name)} at ${lat}, ${lon}"><rect width="400" height="260" fill="#bcd7e3"/><path d="M40 200q60-160 170-130t150 120q-160 60-320 10z" fill="#d9d2b0"/><circle cx="200" cy="130" r="9" fill="#8a4a00"/></svg>`

export const sayForm = (place: Place) =>
  shell(
    `Say something of ${place.name}`,
    `<h1>${escape(place.name)}</h1><form method="post"><label>Your name <input name="author" required></label><label>Stars <input name="stars" type="number" min="0" max="5" value="5"></label><label>What you want to say<textarea name="text" rows="4"></textarea></label><button>Say it</button></form>`,
  )

export const ownerPage = (place: Place, newest: KeptReview[]) =>
  shell(
    `${place.name}, for its owner`,
    `<h1>${escape(place.name)}</h1>${newest
      .map(
        ({ id, author, stars, text, reply }) =>
          `<article><b>${'★'.repeat(stars)}</b> ${escape(author)}<p dir="auto">${escape(text)}</p><form method="post"><input type="hidden" name="review" value="${id}"><label>Answer <textarea name="reply" rows="2">${escape(reply?.text ?? '')}</textarea></label><button name="what" value="reply">Answer</button></form><form method="post"><input type="hidden" name="review" value="${id}"><label>As its author: <input name="text" value="${escape(text)}"></label><button name="what" value="edit">Change</button><button name="what" value="delete">Take back</button></form></article>`,
      )
      .join('')}`,
  )
