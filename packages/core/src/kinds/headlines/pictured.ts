import { row, type Pictured } from '../../pictured'
import type { View } from '../kind'
import { directionOf } from '../spoken'
import type { HeadlinesSettings } from './settings'
import { headlinesOf } from './view'

/** In a picture there is room for so many, whatever the list has. */
const MOST = 8

/** The heading and the newest headlines, each with what is said of it in small print. */
export function headlinesPictured(view: View<HeadlinesSettings>): Pictured | null {
  const { heading, items } = headlinesOf(view)
  if (!items.length) return null
  return {
    heading,
    rows: items
      .slice(0, MOST)
      .map(({ title, author, source, date }) =>
        row({ text: title, note: [author, source, date].filter(Boolean).join(' · ') }),
      ),
    rightToLeft: directionOf(view.settings.locale) === 'rtl',
  }
}
