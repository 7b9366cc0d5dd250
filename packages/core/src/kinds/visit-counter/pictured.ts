import { row, type Pictured } from '../../pictured'
import type { View } from '../kind'
import { directionOf } from '../spoken'
import type { VisitCounterSettings } from './settings'
import { shownCounts } from './view'

/** Its numbers, each with its name. */
export const counterPictured = ({ settings, context }: View<VisitCounterSettings>): Pictured => ({
  heading: settings.title,
  rows: shownCounts(settings, context.facts.visits).map(({ name, said }) => row({ text: name, end: said })),
  rightToLeft: directionOf(settings.locale) === 'rtl',
})
