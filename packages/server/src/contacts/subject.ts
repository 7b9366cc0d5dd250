import type { Subject } from '../subject'
import { defineContacts } from './models'
import { contactRoutes } from './routes'

export const contacts: Subject = { name: 'contacts', models: defineContacts, routes: contactRoutes }
