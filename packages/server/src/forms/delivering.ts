import type { DeliveryState } from '@pebblestrand/contract'
import type { LeadContent } from './lead-content'
import type { LeadForm } from './lead-form'
import type { Lead } from './models'
import type { Told } from './who-is-told'

/** A lead while something is done with it. */
export interface Delivering {
  lead: Lead
  about: LeadForm
  content: LeadContent
  now: Date
  /** Where all mails of a test go; null of a real lead. */
  tester: Told | null
  /** Whether one more mail may go out to the visitor (admit-reply.ts). */
  admission: Admission
}

export type Admission = 'free' | 'address' | 'form'

/** What came of it: the state it is in then, with what is wrong or when it is tried again. */
export type Delivered = DeliveryState | { state: 'failed'; problem: string } | { state: 'limited'; nextAt: Date }
