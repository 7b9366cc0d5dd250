import { z } from 'zod'
import type { FormDefinition } from './form'
import type { Circumstances } from './reading'
import { readResponses, type Responses } from './responses'

/** What reads a form's responses as a schema: its issues are at the fields' names, their messages the codes of what is wrong. */
export const responsesSchema = (form: FormDefinition, circumstances: Circumstances) =>
  z.record(z.string(), z.unknown()).transform((raw, context): Responses => {
    const read = readResponses(form, raw, circumstances)
    if (read.well) return read.responses
    for (const [name, { code, limit }] of Object.entries(read.faults))
      context.addIssue({ code: 'custom', message: code, path: [name], params: { limit } })
    for (const name of read.unknown) context.addIssue({ code: 'custom', message: 'unknown', path: [name] })
    return z.NEVER
  })
