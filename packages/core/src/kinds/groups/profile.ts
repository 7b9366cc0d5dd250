import type { Picture } from '../../items'
import { address, escapeAttribute, escapeText } from '../../markup'
import { counted } from '../../words'
import type { RenderContext } from '../kind'
import { pictureHtml } from '../picture-html'
import { buttonCss, buttonHoverCss } from './look/css'
import { sizedAll, type Sizes } from './look/scales'
import type { LabelPart } from '../label-texts'
import { choice, onOff } from '../setting'

interface ProfileSettings {
  header: 'none' | 'line' | 'centred' | 'button'
  headerBio: boolean
  headerCounts: boolean
  locale: string
}

/** Words beside a profile, as settings. */
export const profileWords = {
  follow: { label: 'Button to the profile', says: 'follow', names: true },
  posts: { label: 'How many posts', says: 'posts' },
  followers: { label: 'How many followers', says: 'followers' },
  following: { label: 'How many it follows', says: 'following' },
} as const satisfies Record<string, LabelPart>
export type ProfileWords = Record<keyof typeof profileWords, string>

export interface ShownProfile {
  name: string
  handle: string
  bio: string
  counts: string[]
  link: string | null
  picture: Picture | null
}

/** Px that css sets and heights are counted with. */
export const PROFILE = { picture: 56, below: 16, button: 40 }
const SIZES = { name: { of: 'text', size: 17, line: 1.35 }, small: { of: 'small', size: 13.5, line: 1.35 } } as const

/** Who a source is of, as a header above its items. */
export const profileGroup = {
  shape: {
    header: choice(
      {
        none: 'no profile',
        line: 'the profile in a line',
        centred: 'the profile, centred',
        button: 'only the button to the profile',
      },
      'none',
      { label: 'Profile above', paragraph: 'layout', before: '; above them ' },
    ),
    headerBio: onOff({ on: 'with its words', off: 'without its words' }, true, {
      label: 'What the profile says of itself',
      paragraph: 'layout',
      before: ' ',
      when: (s) => s.header === 'line' || s.header === 'centred',
    }),
    headerCounts: onOff({ on: 'and numbers', off: 'and without numbers' }, true, {
      label: 'Numbers of the profile',
      paragraph: 'layout',
      before: ' ',
      when: (s) => s.header === 'line' || s.header === 'centred',
    }),
  },
  /** The first source that is somebody's. */
  of(
    { headerBio, headerCounts, locale }: Pick<ProfileSettings, 'headerBio' | 'headerCounts' | 'locale'>,
    words: ProfileWords,
    sourceIds: readonly string[],
    { sources }: RenderContext,
  ): ShownProfile | null {
    const source = sourceIds.map((id) => sources[id]).find((one) => one?.profile)
    if (!source?.profile) return null
    const { handle, bio, counts } = source.profile
    const said = (['posts', 'followers', 'following'] as const).flatMap((what) =>
      counts[what] === null || !words[what] ? [] : [counted(words[what], counts[what], locale)],
    )
    return {
      name: source.title,
      handle: handle && `@${handle}`,
      bio: headerBio ? bio : '',
      counts: headerCounts ? said : [],
      link: source.link,
      picture: source.picture ?? null,
    }
  },
  html(
    header: ProfileSettings['header'],
    { name, handle, bio, counts, link, picture }: ShownProfile,
    words: ProfileWords,
  ): string {
    const href = address(link)
    const button = href
      ? `<a class="fo" part="button" href="${href}" target="_blank" rel="noopener" aria-label="${escapeAttribute(`${words.follow}: ${name}`)}">${escapeText(words.follow)}</a>`
      : ''
    if (header === 'button') return `<p class="ph b">${button}</p>`
    const face = picture
      ? pictureHtml({ ...picture, alt: '' }, { className: 'pf', part: 'face', width: PROFILE.picture })
      : ''
    const lines = [
      `<p class="pn" part="name"><b>${escapeText(name)}</b>${handle ? ` <span>${escapeText(handle)}</span>` : ''}</p>`,
      bio && `<p class="pb" part="text" dir="auto">${escapeText(bio)}</p>`,
      counts.length ? `<p class="pc" part="counts">${counts.map(escapeText).join(' · ')}</p>` : '',
    ]
    return `<div part="profile" class="ph ${header === 'centred' ? 'c0' : 'l0'}">${face}<div class="pt">${lines.filter(Boolean).join('')}</div>${button}</div>`
  },
  sizes: (s: Sizes) => sizedAll(SIZES, s),
  css(s: Sizes & { radius: number }): string {
    const { name, small } = sizedAll(SIZES, s)
    return (
      `.ph{display:flex;flex-wrap:wrap;align-items:center;gap:10px 14px;margin:0 0 ${PROFILE.below}px}.ph p{margin:0}.pt{flex:1 1 160px;min-width:0;overflow-wrap:anywhere}.ph.c0{flex-direction:column;text-align:center}.ph.c0 .pt{flex:none;max-width:100%}.ph.b{justify-content:center}` +
      `.pf{width:${PROFILE.picture}px;height:${PROFILE.picture}px;border-radius:50%;object-fit:cover;display:block}` +
      `.pn{font-size:${name.size}px;line-height:${name.line}}.pn span,.pb,.pc{font-size:${small.size}px;line-height:${small.line}}.pn span,.pc{opacity:.8}` +
      `.fo{box-sizing:border-box;min-height:${PROFILE.button}px;padding:8px 18px;${buttonCss(s.radius)};text-decoration:none;font-size:15px;line-height:22px}.fo:hover{${buttonHoverCss}}.fo:focus-visible{outline:2px solid var(--accent);outline-offset:2px}`
    )
  },
}
