import { accounts } from './accounts/subject'
import { activity } from './activity/subject'
import { checks } from './checks/subject'
import { counting } from './counting/subject'
import { delivery } from './delivery/subject'
import { find } from './find/subject'
import { installs } from './installs/subject'
import { pictures } from './pictures/subject'
import { removals } from './removals/subject'
import { sites } from './sites/subject'
import { sources } from './sources/subject'
import type { Subject } from './subject'
import { today } from './today/subject'
import { widgets } from './widgets/subject'

/** Every subject of the server. Adding one: its folder, and a line here. */
export const subjects: readonly Subject[] = [
  accounts,
  sites,
  sources,
  widgets,
  installs,
  checks,
  delivery,
  pictures,
  counting,
  activity,
  removals,
  today,
  find,
]
