import { address, escapeAttribute, escapeText } from '../../markup'
import type { View } from '../kind'
import { outermost } from '../outermost'
import { pictureHtml } from '../picture-html'
import type { ProfileCardSettings } from './settings'
import type { Card, ShownPost } from './view'

/** Px a post is wide, as most are. */
const POST = 160

export function cardHtml({ settings, context }: View<ProfileCardSettings>, { profile, posts }: Card): string {
  return outermost(
    settings,
    context,
    (profile ? head(profile, settings) : '') +
      (posts.length
        ? `<ul class="l" part="list" role="list">${posts.map((one) => cell(one, settings)).join('')}</ul>`
        : ''),
  )
}

function head(profile: NonNullable<Card['profile']>, { follow, labels, faceSize }: ProfileCardSettings): string {
  const { name, handle, bio, counts, picture, link } = profile
  const href = follow ? address(link) : ''
  const button = href
    ? `<a class="o" part="button" href="${href}" target="_blank" rel="noopener" aria-label="${escapeAttribute([labels.follow, name || handle].filter(Boolean).join(': '))}">${escapeText(labels.follow)}</a>`
    : ''
  const lines = [
    name && `<p class="n" part="name" dir="auto">${escapeText(name)}</p>`,
    handle && `<p class="h" part="handle">${escapeText(handle)}</p>`,
    bio && `<p class="x" part="text" dir="auto">${escapeText(bio)}</p>`,
    counts.length ? `<p class="k" part="counts">${counts.map(escapeText).join(' · ')}</p>` : '',
    button,
  ].filter(Boolean)
  // Without a name beside it, the picture is all that says whose it is.
  const alt = name || handle ? '' : labels.follow
  const face = picture ? pictureHtml({ ...picture, alt }, { className: 'f', part: 'face', width: faceSize }) : ''
  return face || lines.length
    ? `<div class="d" part="profile">${face}${lines.length ? `<div class="b">${lines.join('')}</div>` : ''}</div>`
    : ''
}

function cell({ picture, name, link }: ShownPost, settings: ProfileCardSettings): string {
  const shown = pictureHtml(picture, { className: 'p', part: 'picture', width: POST, sized: settings.ratio === 'own' })
  const href = address(link)
  const inner = href
    ? `<a class="g" href="${href}" target="_blank" rel="noopener" aria-label="${escapeAttribute(name)}">${shown}</a>`
    : `<div class="g">${shown}</div>`
  return `<li class="c" part="item">${inner}</li>`
}
