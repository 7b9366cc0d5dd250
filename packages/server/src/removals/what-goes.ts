/** What can be taken out. */
export const subjects = ['site', 'page', 'placement', 'widget', 'install'] as const
export type Subject = (typeof subjects)[number]

/** Rows of one table: `:id` in the condition is the subject's. */
export interface Part {
  table: string
  where: string
}

const part = (table: string, where: string): Part => ({ table, where })

/** Rows of its own, beside installs; what others refer to stands first. */
const own: Record<Subject, Part[]> = {
  site: [part('sites', 'id = :id'), part('pages', 'site_id = :id'), part('placements', 'site_id = :id')],
  page: [part('pages', 'id = :id'), part('placements', 'page_id = :id')],
  placement: [part('placements', 'id = :id')],
  widget: [part('widgets', 'id = :id'), part('releases', 'widget_id = :id'), part('widget_sources', 'widget_id = :id')],
  install: [],
}

const installs: Record<Subject, string> = {
  site: 'page_id IN (SELECT id FROM pages WHERE site_id = :id)',
  page: 'page_id = :id',
  placement: 'placement_id = :id',
  widget: 'widget_id = :id',
  install: 'id = :id',
}

/** What was noted about it, where that is not about one of its installs. */
const notes: Partial<Record<Subject, string>> = { site: ' OR site_id = :id', widget: ' OR widget_id = :id' }

/** The installs that go with a subject. */
export const installsOf = (what: Subject): Part => part('installs', installs[what])

/** Held while it is taken out: nothing new can be tied to any of these meanwhile. */
export const heldFor = (what: Subject): Part[] => [
  ...(what === 'page' ? [part('sites', 'id = (SELECT site_id FROM pages WHERE id = :id)')] : []),
  ...own[what],
  installsOf(what),
]

/** Deleted in this order, the rest goes by itself: the installs, then its own row where it has one beside them. */
export const deletedFor = (what: Subject): Part[] => [installsOf(what), ...own[what].slice(0, 1)]

/** Everything that goes with a subject, in the order in which it can be put back. */
export function whatGoes(what: Subject): Part[] {
  const ids = `SELECT id FROM installs WHERE ${installs[what]}`
  const checks = `SELECT id FROM checks WHERE install_id IN (${ids})`
  return [
    ...own[what],
    installsOf(what),
    part('checks', `install_id IN (${ids})`),
    part('findings', `check_id IN (${checks})`),
    part('answers', `check_id IN (${checks})`),
    part('payloads', `install_id IN (${ids})`),
    part('activity', `install_id IN (${ids})${notes[what] ?? ''}`),
  ]
}
