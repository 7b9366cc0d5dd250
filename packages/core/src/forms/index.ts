export { fromEntries, fromFormBody, fromJson, MOST_ENTRIES, NotAForm, type SentValue } from './entries'
export { leadsCsv, leadsJson, type ExportedLead } from './export'
export { sayAnswer } from './answer-words'
export { dayIn } from '../zoned-time/days'
export { CONFIRM, COUPONS, DeliverySettings, FEW_COUPONS, Notes, NOTES, usualDelivery } from './delivery'
export { faultLabels, isFaultCode, type FaultCode, type FieldFault } from './faults'
export { Field, FieldName, HIDDEN_FROM, Option, When, type FieldKind, type FieldOf } from './fields'
export { fieldKinds, freeName, moved, newField, type FieldPart } from './field-kinds'
export { fieldsOf } from './fields-of'
export { FormDefinition, MOST, Step } from './form'
export { confirmationWords } from './confirmation-words'
export {
  blanksInAddresses,
  blanksOf,
  confirmationBlanks,
  confirmationLetter,
  leadLines,
  listLines,
  noteLetter,
  replyBlanks,
  replyLetter,
  strangeBlanks,
  type Spoken,
} from './letters'
export { madeUp } from './made-up'
export { countsAfter, isPolled, resultsOf, type PollResult } from './poll'
export { isSolved, solve } from './proof'
export { readAnswer, type Answer, type Circumstances, type Read } from './reading'
export { isAsked, readResponses, type Responses, type ResponsesRead } from './responses'
export { responsesSchema } from './schema'
export { SENT, SOONEST_MS } from './system-names'
export { consentsOf, mailsIn, needsConfirmation, type Confirmation, type Consent } from './taken'
