// What a form asks of who fills it in, and what is wrong with what they wrote: for their browser, without the schemas.
export { faultLabels, type FaultCode, type FieldFault } from './faults'
export { fieldsOf } from './fields-of'
export { readAnswer, type Answer } from './reading'
export { askedFields, fromEntries, readResponses } from './responses'
export { SENT } from './system-names'
export { dayIn, daysAfter } from './days'
export type { Field } from './fields'
export type { FormDefinition } from './form'
