import { catalogue, type FindingCode, type FindingData, type Hands } from './catalogue'
import type { Excerpt } from './excerpt'

export interface Proof {
  /** Which of the two answers shows it. */
  page: 'served' | 'fresh'
  excerpts: Excerpt[]
  /** The headers that matter for this finding, as sent. */
  headers: Record<string, string>
}

/** One thing a check saw, with what to do about it. */
export interface Finding {
  code: FindingCode
  title: string
  says: string
  remedy: string
  hands: Hands
  data: FindingData
  proof: Proof
}

export function finding(code: FindingCode, data: FindingData, proof: Proof): Finding {
  const entry = catalogue[code]
  return {
    code,
    title: entry.title,
    says: entry.says(data),
    remedy: entry.remedy(data),
    hands: entry.hands,
    data,
    proof,
  }
}
