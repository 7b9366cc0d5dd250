import type { LabelId } from '../words'

/** What can be wrong with an answer, with what its words fill in. The words stand beside those of the widgets, one file a language. */
export const faultLabels = {
  missing: 'fieldMissing',
  'not-ticked': 'fieldTick',
  'too-short': 'fieldTooShort',
  'too-long': 'fieldTooLong',
  'no-email': 'fieldEmail',
  'no-telephone': 'fieldTelephone',
  'no-number': 'fieldNumber',
  'too-precise': 'fieldWhole',
  'too-small': 'fieldTooSmall',
  'too-large': 'fieldTooLarge',
  'not-offered': 'fieldNotOffered',
  'too-few': 'fieldTooFew',
  'too-many': 'fieldTooMany',
  'no-date': 'fieldDate',
  'too-early': 'fieldTooEarly',
  'too-late': 'fieldTooLate',
  'day-left-out': 'fieldDayOut',
} as const satisfies Record<string, LabelId>

export type FaultCode = keyof typeof faultLabels

export interface FieldFault {
  code: FaultCode
  /** What the words fill in for `{n}`: a number, or a day as `2026-11-27`. */
  limit?: number | string
}

export const isFaultCode = (code: string): code is FaultCode => Object.hasOwn(faultLabels, code)
