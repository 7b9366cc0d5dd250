import type { Removable } from '@pebblestrand/contract'

/** Rows of one table: `:id` in the condition is the subject's. */
export interface Part {
  table: string
  where: string
}

const part = (table: string, where: string): Part => ({ table, where })

const SHEETS = 'sheet_id IN (SELECT id FROM sheets WHERE site_id = :id)'

/** Rows of its own, beside installs; what others refer to stands first. */
const own: Record<Removable, Part[]> = {
  site: [
    part('sites', 'id = :id'),
    part('pages', 'site_id = :id'),
    part('placements', 'site_id = :id'),
    part('own_profiles', 'site_id = :id'),
    part('sheets', 'site_id = :id'),
    part('sheet_visits', SHEETS),
    part('mails', SHEETS),
    part('leads', 'site_id = :id'),
    part('lead_deliveries', 'lead_id IN (SELECT id FROM leads WHERE site_id = :id)'),
    part('visit_expectations', 'site_id = :id'),
  ],
  page: [part('pages', 'id = :id'), part('placements', 'page_id = :id')],
  placement: [part('placements', 'id = :id')],
  widget: [
    part('widgets', 'id = :id'),
    part('releases', 'widget_id = :id'),
    part('widget_sources', 'widget_id = :id'),
    part('forms', 'widget_id = :id'),
    part('leads', 'widget_id = :id'),
    part('lead_deliveries', 'lead_id IN (SELECT id FROM leads WHERE widget_id = :id)'),
    part('coupons', 'widget_id = :id'),
    part('poll_counts', 'widget_id = :id'),
    part('form_tests', 'widget_id = :id'),
  ],
  install: [],
}

const installs: Record<Removable, string> = {
  site: 'page_id IN (SELECT id FROM pages WHERE site_id = :id)',
  page: 'page_id = :id',
  placement: 'placement_id = :id',
  widget: 'widget_id = :id',
  install: 'id = :id',
}

/** The readings that go with the pages they are of; a page's readings stay when an install on it goes. */
const pages: Partial<Record<Removable, string>> = {
  site: 'page_id IN (SELECT id FROM pages WHERE site_id = :id)',
  page: 'page_id = :id',
}

/** What was noted about it, where that is not about one of its installs. */
const notes: Partial<Record<Removable, string>> = { site: ' OR site_id = :id', widget: ' OR widget_id = :id' }

/** The installs that go with a subject. */
export const installsOf = (what: Removable): Part => part('installs', installs[what])

/** Held while it is taken out: nothing new can be tied to any of these meanwhile. */
export const heldFor = (what: Removable): Part[] => [
  ...(what === 'page' ? [part('sites', 'id = (SELECT site_id FROM pages WHERE id = :id)')] : []),
  ...own[what],
  installsOf(what),
]

/** Deleted in this order, the rest goes by itself: the installs, then its own row where it has one beside them. */
export const deletedFor = (what: Removable): Part[] => [installsOf(what), ...own[what].slice(0, 1)]

/** Not a year of checks: of each install the last, and the last of each status it was found in. */
const keptChecks = (installIds: string) => `id IN (
  SELECT last_check_id FROM installs WHERE id IN (${installIds})
  UNION ALL (
    SELECT DISTINCT ON (install_id, status_after) id FROM checks WHERE install_id IN (${installIds}) AND state = 'done'
    ORDER BY install_id, status_after, finished_at DESC
  )
)`

/** What these checks were judged by, and what was seen of a page last. */
const keptReadings = (installIds: string, pagesWhere: string) => `(
  id IN (SELECT reading_id FROM checks WHERE ${keptChecks(installIds)})
  OR id IN (SELECT DISTINCT ON (page_id) id FROM readings WHERE ${pagesWhere} ORDER BY page_id, began_at DESC)
)`

/** Everything that goes with a subject, in the order in which it can be put back. */
export function whatGoes(what: Removable): Part[] {
  const ids = `SELECT id FROM installs WHERE ${installs[what]}`
  const checks = `SELECT id FROM checks WHERE ${keptChecks(ids)}`
  return [
    ...own[what],
    installsOf(what),
    ...(pages[what]
      ? [
          part('readings', `${pages[what]} AND ${keptReadings(ids, pages[what])}`),
          part(
            'looks',
            `reading_id IN (SELECT id FROM readings WHERE ${pages[what]} AND ${keptReadings(ids, pages[what])})`,
          ),
        ]
      : []),
    part('sheet_installs', `install_id IN (${ids})`),
    part('mutes', `install_id IN (${ids})`),
    part('planned_swaps', `install_id IN (${ids})${what === 'widget' ? ' OR widget_id = :id' : ''}`),
    part('checks', keptChecks(ids)),
    part('findings', `check_id IN (${checks})`),
    part('artefacts', `install_id IN (${ids})${what === 'widget' ? ' OR widget_id = :id' : ''}`),
    part('activity', `install_id IN (${ids})${notes[what] ?? ''}`),
  ]
}
