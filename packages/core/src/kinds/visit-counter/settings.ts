import { z } from 'zod'
import { localeGroup, lookGroup } from '../groups'
import { choice, number, onOff, text } from '../setting'
import { labelTexts, type LabelPart } from '../label-texts'
import { periodIds, type PeriodId } from './periods'

const shown = (label: string, before: string, byDefault: boolean) =>
  onOff({ on: 'shown', off: 'off' }, byDefault, { label, paragraph: 'shows', before })

const names: Record<PeriodId, LabelPart> = {
  today: { label: 'Today', says: 'today' },
  last7: { label: 'Last 7 days', says: 'last7' },
  week: { label: 'This week', says: 'thisWeek' },
  month: { label: 'This month', says: 'thisMonth' },
  year: { label: 'This year', says: 'thisYear' },
  total: { label: 'In all', says: 'inAll' },
}

/** Settings of the kind visit counter. The order here is the order of the brief. */
export const VisitCounterSettings = z.strictObject({
  today: shown('Today', 'Visits today ', true),
  last7: shown('Last 7 days', ', of the last 7 days ', false),
  week: shown('This week', ', this week ', false),
  month: shown('This month', ', this month ', false),
  year: shown('This year', ', this year ', false),
  total: shown('In all', ', in all ', true),
  start: number(
    { min: 0, max: 999_999_999, byDefault: 0 },
    { label: 'Counted elsewhere before', paragraph: 'shows', before: '; ', after: ' were counted elsewhere before' },
  ),

  style: choice({ line: 'plain line', table: 'table', digits: 'row of digits' }, 'line', {
    label: 'Style',
    paragraph: 'layout',
    before: 'As a ',
  }),
  digits: number(
    { min: 3, max: 9, byDefault: 6 },
    {
      label: 'Digits',
      paragraph: 'layout',
      before: ' of ',
      after: ' at least',
      when: (s) => s.style === 'digits',
    },
  ),

  ...lookGroup.shape({}),

  title: text(80, 'nothing', { label: 'Title', paragraph: 'words', before: 'Headed by ' }),
  ...localeGroup.shape,
  names: labelTexts(
    names,
    { most: 40, saidBy: 'today' },
    { label: 'Names of the numbers', paragraph: 'words', before: ', named like ' },
  ),
})

export type VisitCounterSettings = z.infer<typeof VisitCounterSettings>

/** The spans that are shown. */
export const periodsOf = (settings: VisitCounterSettings): PeriodId[] => periodIds.filter((id) => settings[id])
