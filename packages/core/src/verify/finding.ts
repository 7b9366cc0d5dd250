import { catalogue, type FindingCode, type FindingData, type FindingSubject, type NextAction } from './catalogue'
import type { Excerpt } from './excerpt'
import type { LookId } from './look-kinds'

export interface Proof {
  /** Which look shows it. */
  look: LookId
  excerpts: Excerpt[]
  /** The headers that matter for this finding, as sent. */
  headers: Record<string, string>
}

/** One thing a check saw, with what to do about it. */
export interface Finding {
  code: FindingCode
  /** What it is about. */
  subject: FindingSubject
  /** How much it matters, 1 to 100: what is said first. */
  weight: number
  title: string
  says: string
  remedy: string
  nextAction: NextAction
  data: FindingData
  proof: Proof
}

export function finding(code: FindingCode, data: FindingData, proof: Proof): Finding {
  const entry = catalogue[code]
  return {
    code,
    subject: entry.subject,
    weight: entry.weight,
    title: entry.title,
    says: entry.says(data),
    remedy: entry.remedy(data),
    nextAction: entry.nextAction,
    data,
    proof,
  }
}
