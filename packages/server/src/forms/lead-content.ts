import type { Confirmation, Consent, Responses } from '@pebblestrand/core/forms'
import type { Config } from '../platform/config'
import { seal, unseal } from '../platform/seal'

/** What was written, and where it came from: all of a lead that is about a person. */
export interface LeadContent {
  responses: Responses
  consents: Consent[]
  /** Host of the site that led there; '' for none, or nobody said. */
  from: string
  /** The language it was asked in. */
  language: string
  /** Where the address has to be confirmed before a reply goes there. */
  confirmation?: Confirmation
  /** Why no reply goes out: too many were asked for from one network (robots.ts). */
  noReply?: 'network'
}

export const sealed = ({ leadsKey }: Pick<Config, 'leadsKey'>, content: LeadContent): string =>
  seal(JSON.stringify(content), leadsKey)

/** @throws AppError 'sealed' without the key */
export const contentOf = ({ leadsKey }: Pick<Config, 'leadsKey'>, { content }: { content: string }): LeadContent =>
  JSON.parse(unseal(content, leadsKey)) as LeadContent
