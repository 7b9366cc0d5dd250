import type { Subject } from '../subject'
import { defineActivity } from './models'

export const activity: Subject = { name: 'activity', models: defineActivity }
