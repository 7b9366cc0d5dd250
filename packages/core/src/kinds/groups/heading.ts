import { textHeight } from '../../layout'
import { escapeText } from '../../markup'
import type { RenderContext } from '../kind'
import { choice, text } from '../setting'
import { sizedAll, type Sizes } from './look/scales'

interface HeadingSettings {
  title: 'source' | 'own' | 'none'
  titleText: string
  description: string
}

/** Px and multiples, of heading and description. */
const SIZES = {
  heading: { of: 'heading', size: 20, line: 1.2 },
  description: { of: 'text', size: 14.5, line: 1.5 },
  below: 12,
} as const
const sizesOf = (s: Sizes) => sizedAll(SIZES, s)

/** The words above the widget. A page often has its own. */
export const headingGroup = {
  shape: {
    title: choice({ source: "the source's title", own: 'own words', none: 'nothing' }, 'source', {
      label: 'Heading',
      paragraph: 'words',
      before: 'Headed by ',
    }),
    titleText: text(80, 'nothing yet', {
      label: 'Own heading',
      paragraph: 'words',
      before: ', ',
      when: (s) => s.title === 'own',
    }),
    description: text(300, 'no description', { label: 'Description', paragraph: 'words', before: ', with ' }),
  },
  /** '' where there is none; of several sources the first that has a title. */
  heading(s: HeadingSettings, sourceIds: readonly string[], { sources }: RenderContext): string {
    if (s.title === 'none') return ''
    if (s.title === 'own') return s.titleText
    return sourceIds.map((id) => sources[id]?.title ?? '').find(Boolean) ?? ''
  },
  /** Where the first source is found that says so. */
  link: (sourceIds: readonly string[], { sources }: RenderContext): string | null =>
    sourceIds.map((id) => sources[id]?.link ?? null).find(Boolean) ?? null,
  html: (heading: string, description: string): string =>
    (heading ? `<h2 class="h" part="heading">${escapeText(heading)}</h2>` : '') +
    (description ? `<p class="e" part="description">${escapeText(description)}</p>` : ''),
  /** Px in a width. */
  height(s: Sizes, heading: string, description: string, inner: number): number {
    const sizes = sizesOf(s)
    const lines = (text: string, { size, line }: { size: number; line: number }) =>
      text ? textHeight(text.length, inner, size, line) + SIZES.below : 0
    return lines(heading, sizes.heading) + lines(description, sizes.description)
  },
  css(s: Sizes): string {
    const { heading, description, below } = sizesOf(s)
    return (
      `.w .h{margin:0 0 ${below}px;font-size:${heading.size}px;line-height:${heading.line};font-weight:700}` +
      `.w .e{margin:0 0 ${below}px;font-size:${description.size}px;line-height:${description.line}}`
    )
  },
}
