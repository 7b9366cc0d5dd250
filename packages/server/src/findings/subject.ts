import type { Subject } from '../subject'
import { attempts, history, mutes, sightCause, sights } from './migration'
import { defineFindings } from './models'

/** What checks found, and how one is asked for. Looking and judging is `checks/`. */
export const findings: Subject = {
  name: 'findings',
  migrations: [attempts, sights, mutes, sightCause, history],
  models: defineFindings,
}
