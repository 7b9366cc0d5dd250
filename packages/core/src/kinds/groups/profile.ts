import type { Picture } from '../../items'
import { address, escapeAttribute, escapeText } from '../../markup'
import type { RenderContext } from '../kind'
import { pictureHtml } from '../picture-html'
import { choice, onOff } from '../setting'

interface ProfileSettings {
  header: 'none' | 'line' | 'centred' | 'button'
  headerBio: boolean
  headerCounts: boolean
  locale: string
}

/** Words beside a profile, as settings. */
export const profileWords = {
  follow: { label: 'Button to the profile', byDefault: 'Follow' },
  posts: { label: 'How many posts', byDefault: '{n} posts' },
  followers: { label: 'How many followers', byDefault: '{n} followers' },
  following: { label: 'How many it follows', byDefault: 'follows {n}' },
}
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
export const PROFILE = { picture: 56, name: 17, line: 1.35, small: 13.5, below: 16, button: 40 }

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
    const number = new Intl.NumberFormat(locale)
    const said = (['posts', 'followers', 'following'] as const).flatMap((what) =>
      counts[what] === null ? [] : [words[what].replaceAll('{n}', number.format(counts[what]))],
    )
    return {
      name: source.title,
      handle: `@${handle}`,
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
      ? `<a class="fo" href="${href}" target="_blank" rel="noopener" aria-label="${escapeAttribute(`${words.follow}: ${name}`)}">${escapeText(words.follow)}</a>`
      : ''
    if (header === 'button') return `<p class="ph b">${button}</p>`
    const face = picture ? pictureHtml({ ...picture, alt: '' }, { className: 'pf', width: PROFILE.picture }) : ''
    const lines = [
      `<p class="pn"><b>${escapeText(name)}</b> <span>${escapeText(handle)}</span></p>`,
      bio && `<p class="pb" dir="auto">${escapeText(bio)}</p>`,
      counts.length ? `<p class="pc">${counts.map(escapeText).join(' · ')}</p>` : '',
    ]
    return `<div class="ph ${header === 'centred' ? 'c0' : 'l0'}">${face}<div class="pt">${lines.filter(Boolean).join('')}</div>${button}</div>`
  },
  css: (radius: number) =>
    `.ph{display:flex;flex-wrap:wrap;align-items:center;gap:10px 14px;margin:0 0 ${PROFILE.below}px}.ph p{margin:0}.pt{flex:1 1 160px;min-width:0;overflow-wrap:anywhere}.ph.c0{flex-direction:column;text-align:center}.ph.c0 .pt{flex:none;max-width:100%}.ph.b{justify-content:center}` +
    `.pf{width:${PROFILE.picture}px;height:${PROFILE.picture}px;border-radius:50%;object-fit:cover;display:block}` +
    `.pn{font-size:${PROFILE.name}px;line-height:${PROFILE.line}}.pn span,.pb,.pc{font-size:${PROFILE.small}px;line-height:${PROFILE.line}}.pn span,.pc{opacity:.8}` +
    `.fo{box-sizing:border-box;min-height:${PROFILE.button}px;padding:8px 18px;border:1px solid currentColor;border-radius:${radius}px;color:inherit;text-decoration:none;font-size:15px;line-height:22px}.fo:hover{border-color:var(--a);color:var(--a)}.fo:focus-visible{outline:2px solid var(--a);outline-offset:2px}`,
}
