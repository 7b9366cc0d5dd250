import { escape } from '../html'
import { platformOf } from '../platforms/list'
import type { Box } from '../platforms/platform'
import { previewPath } from '../sites/preview'
import { regionNames, type RegionName, type Site } from '../sites/site'
import type { Boxes, PageState } from '../state/store'
import { deskAccount, deskPaths } from './paths'

function frame(site: Site, title: string, body: string, signedIn = true): string {
  const { words } = platformOf(site)
  const nav = signedIn
    ? `<nav><b>${escape(site.name)}</b><a href="${deskPaths.home}">${words.pages}</a><a href="${deskPaths.cache}">${words.cacheMenu}</a><a href="/">See the site</a><form method="post" action="${deskPaths.signOut}"><button class="second">Sign out</button></form></nav>`
    : ''
  return `<!DOCTYPE html><html lang="en"><head><meta charset="utf-8"><title>${escape(title)} · ${words.desk}, ${escape(site.name)}</title><style>${words.css}</style></head><body>${nav}<main><h1>${escape(title)}</h1>${body}</main></body></html>`
}

export function signInPage(site: Site, then: string, failed: boolean): string {
  const body = `${failed ? '<p class="bad">That was not right.</p>' : ''}<p>This is a simulated site. Sign in as <b>${deskAccount.name}</b> with the password <b>${deskAccount.password}</b>.</p>
<form method="post" action="${deskPaths.signIn}"><input type="hidden" name="then" value="${escape(then)}">
<p><label>Name <input name="name" autocomplete="username"></label></p><p><label>Password <input name="password" type="password" autocomplete="current-password"></label></p><button>Sign in</button></form>`
  return frame(site, 'Sign in', body, false)
}

export function listPage(site: Site): string {
  const { words } = platformOf(site)
  const entry = (path: string, title: string) => `<li><a href="${deskPaths.page(path)}">${escape(title)}</a></li>`
  return frame(
    site,
    words.pages,
    `<ul>${entry('*', words.shared)}${site.pages.map((p) => entry(p.path, p.title)).join('')}</ul>`,
  )
}

/** What stands beside a box: a switch, a size. */
const beside = (name: string, box: Box, boxes: Boxes | undefined, id: string) =>
  Object.entries(box.asks ?? {})
    .map(([ask, { label, first }]) => {
      const value = boxes?.[`${id}-${ask}`] ?? first
      const field =
        first === 'on'
          ? `<input type="hidden" name="${name}-${ask}" value="off"><input type="checkbox" name="${name}-${ask}" value="on"${value === 'on' ? ' checked' : ''}>`
          : `<input name="${name}-${ask}" value="${escape(value)}" size="5">`
      return `<label>${label} ${field}</label>`
    })
    .join('')

const boxesOf = (site: Site, region: RegionName | 'head', filled: Boxes | undefined) =>
  Object.entries(platformOf(site).boxes)
    .filter(([, box]) => box.places.includes(region))
    .map(([id, box]) => {
      const name = `${region}.${id}`
      return `<label>${box.label}<br><textarea name="${name}" aria-label="${box.label}, ${region}">\n${escape(filled?.[id] ?? '')}</textarea></label>${beside(name, box, filled, id)}`
    })
    .join('')

export function editPage(site: Site, path: string, state: PageState, done: string | null): string {
  const { words, publishing } = platformOf(site)
  const title = path === '*' ? words.shared : site.pages.find((p) => p.path === path)!.title
  const places = path === '*' ? ([...regionNames, 'head'] as const) : regionNames
  const fields = places
    .map((place) => ({ place, boxes: boxesOf(site, place, state.draft[place]) }))
    .filter(({ boxes }) => boxes)
    .map(({ place, boxes }) => `<fieldset><legend>${place}</legend>${boxes}</fieldset>`)
    .join('')
  const publish =
    publishing === 'at once' ? '' : ` <button class="second" name="do" value="publish">${words.publish}</button>`
  const body = `${done ? `<p class="done" role="status">${escape(done)}</p>` : ''}
<form method="post" action="${deskPaths.page(path)}">${fields || '<p>Nothing of this page can be edited here.</p>'}
<button name="do" value="save">${words.save}</button>${publish}</form>`
  const preview = path === '*' ? '' : `<p><a href="${escape(previewPath(site.host, path))}">${words.preview}</a></p>`
  return frame(site, title, body + preview)
}

export function cachePage(site: Site, done: string | null, set: Readonly<Record<string, string>>): string {
  const { words, settings = {} } = platformOf(site)
  const keeps = site.cacheMinutes ? `Pages are kept for ${site.cacheMinutes} minutes.` : 'This site keeps no pages.'
  const fields = Object.entries(settings)
    .map(
      ([name, label]) =>
        `<p><label>${escape(label)}<br><input name="${name}" size="60" value="${escape(set[name] ?? '')}"></label></p>`,
    )
    .join('')
  return frame(
    site,
    words.cacheMenu,
    `${done ? `<p class="done" role="status">${done}</p>` : ''}<p>${keeps}</p><form method="post" action="${deskPaths.cache}"><button>${words.cacheButton}</button></form>
${fields ? `<form method="post" action="${deskPaths.settings}">${fields}<button>${words.save}</button></form>` : ''}`,
  )
}
