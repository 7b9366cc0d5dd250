import type { RenderContext } from '../kind'
import { choice, text } from '../setting'

interface HeadingSettings {
  title: 'source' | 'own' | 'none'
  titleText: string
  description: string
}

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
}
