import type { Subject } from '../subject'
import { handover } from './migration'
import { defineSheets } from './models'

/** What was handed over, to whom. Making sheets, mailing and showing them is `handover/`. */
export const sheets: Subject = { name: 'sheets', migrations: [handover], models: defineSheets }
