import { escape } from '../html'
import { previewPath } from '../sites/preview'
import { regionNames, type Site } from '../sites/site'
import type { PageState } from '../state/store'
import { deskAccount, deskPaths } from './paths'
import { wordsFor, type DeskWords } from './words'

function frame(site: Site, words: DeskWords, title: string, body: string, signedIn = true): string {
  const nav = signedIn
    ? `<nav><b>${escape(site.name)}</b><a href="${deskPaths.home}">${words.pages}</a><a href="${deskPaths.cache}">${words.cacheMenu}</a><a href="/">See the site</a><form method="post" action="${deskPaths.signOut}"><button class="second">Sign out</button></form></nav>`
    : ''
  return `<!DOCTYPE html><html lang="en"><head><meta charset="utf-8"><title>${escape(title)} · ${words.desk}, ${escape(site.name)}</title><style>${words.css}</style></head><body>${nav}<main><h1>${escape(title)}</h1>${body}</main></body></html>`
}

export function signInPage(site: Site, then: string, failed: boolean): string {
  const body = `${failed ? '<p class="bad">That was not right.</p>' : ''}<p>This is a simulated site. Sign in as <b>${deskAccount.name}</b> with the password <b>${deskAccount.password}</b>.</p>
<form method="post" action="${deskPaths.signIn}"><input type="hidden" name="then" value="${escape(then)}">
<p><label>Name <input name="name" autocomplete="username"></label></p><p><label>Password <input name="password" type="password" autocomplete="current-password"></label></p><button>Sign in</button></form>`
  return frame(site, wordsFor(site), 'Sign in', body, false)
}

export function listPage(site: Site): string {
  const words = wordsFor(site)
  const entry = (path: string, title: string) => `<li><a href="${deskPaths.page(path)}">${escape(title)}</a></li>`
  return frame(
    site,
    words,
    words.pages,
    `<ul>${entry('*', words.shared)}${site.pages.map((p) => entry(p.path, p.title)).join('')}</ul>`,
  )
}

export function editPage(site: Site, path: string, state: PageState, done: string | null): string {
  const words = wordsFor(site)
  const title = path === '*' ? words.shared : site.pages.find((p) => p.path === path)!.title
  const boxes = (region: (typeof regionNames)[number]) =>
    Object.entries(words.boxes)
      .map(
        ([id, name]) =>
          `<label>${name}<br><textarea name="${region}.${id}" aria-label="${name}, ${region}">\n${escape(state.draft[region]?.[id] ?? '')}</textarea></label>`,
      )
      .join('')
  const body = `${done ? `<p class="done" role="status">${escape(done)}</p>` : ''}
<form method="post" action="${deskPaths.page(path)}">${regionNames.map((region) => `<fieldset><legend>${region}</legend>${boxes(region)}</fieldset>`).join('')}
<button name="do" value="save">${words.save}</button> <button class="second" name="do" value="publish">${words.publish}</button></form>`
  const preview = path === '*' ? '' : `<p><a href="${escape(previewPath(site.host, path))}">${words.preview}</a></p>`
  return frame(site, words, title, body + preview)
}

export function cachePage(site: Site, done: boolean): string {
  const words = wordsFor(site)
  const keeps = site.cacheMinutes ? `Pages are kept for ${site.cacheMinutes} minutes.` : 'This site keeps no pages.'
  return frame(
    site,
    words,
    words.cacheMenu,
    `${done ? `<p class="done" role="status">${words.cacheDone}</p>` : ''}<p>${keeps}</p><form method="post" action="${deskPaths.cache}"><button>${words.cacheButton}</button></form>`,
  )
}
