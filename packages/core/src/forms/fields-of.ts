import type { Field } from './fields'
import type { FormDefinition } from './form'

/** All fields of a form, in order. */
export const fieldsOf = ({ steps }: FormDefinition): Field[] => steps.flatMap(({ fields }) => fields)
