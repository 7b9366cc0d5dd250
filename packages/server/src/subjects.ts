import { accounts } from './accounts/subject'
import { agency } from './agency/subject'
import { artefacts } from './artefacts/subject'
import { activity } from './activity/subject'
import { contacts } from './contacts/subject'
import { checks } from './checks/subject'
import { counting } from './counting/subject'
import { delivery } from './delivery/subject'
import { findings } from './findings/subject'
import { find } from './find/subject'
import { forms } from './forms/subject'
import { handover } from './handover/subject'
import { installs } from './installs/subject'
import { mail } from './mail/subject'
import { pictures } from './pictures/subject'
import { profiles } from './profiles/subject'
import { platforms } from './platforms/subject'
import { rehearsals } from './rehearsals/subject'
import { removals } from './removals/subject'
import { sites } from './sites/subject'
import { sheets } from './sheets/subject'
import { sources } from './sources/subject'
import type { Subject } from './subject'
import { swaps } from './swaps/subject'
import { today } from './today/subject'
import { widgets } from './widgets/subject'

/**
 * Every subject of the server, in their order: each imports only those above it, and `looks/`, which is none itself. Lint holds it
 * (eslint.subjects.js). Adding one: its folder, and a line here.
 */
export const subjects: readonly Subject[] = [
  profiles,
  artefacts,
  activity,
  accounts,
  sites,
  platforms,
  contacts,
  counting,
  pictures,
  sources,
  rehearsals,
  widgets,
  findings,
  installs,
  sheets,
  swaps,
  agency,
  mail,
  delivery,
  forms,
  checks,
  today,
  removals,
  handover,
  find,
]
