import { z } from 'zod'
import { Field } from './fields'

/** Fields and steps that one form takes: longer ones nobody fills in. */
export const MOST = { fields: 40, steps: 8 }

/** Fields that are asked for together. */
export const Step = z.strictObject({
  title: z.string().trim().max(100, 'must have 100 letters or fewer').default(''),
  fields: z.array(Field).max(MOST.fields),
})
export type Step = z.infer<typeof Step>

/** What a form asks for, in the order in which it does. */
export const FormDefinition = z
  .strictObject({
    steps: z.array(Step).min(1, 'needs one step at least').max(MOST.steps, `takes ${MOST.steps} steps at most`),
  })
  .superRefine(({ steps }, context) => {
    const names = new Map<string, Field>()
    for (const [at, { fields }] of steps.entries())
      for (const [number, field] of fields.entries()) {
        const say = (message: string, ...part: string[]) =>
          context.addIssue({ code: 'custom', message, path: ['steps', at, 'fields', number, ...part] })
        if (names.has(field.name)) say(`must not be used twice: ${field.name}`, 'name')
        if ('when' in field && field.when) {
          const other = names.get(field.when.field)
          if (!other) say('must be a field that comes before this one', 'when')
          else if (!canDecide(other)) say('must be a field with answers to choose from', 'when')
        }
        for (const problem of limitsOf(field)) say(problem)
        names.set(field.name, field)
      }
    if (names.size > MOST.fields)
      context.addIssue({ code: 'custom', message: `takes ${MOST.fields} fields at most`, path: ['steps'] })
    if (![...names.values()].some(({ is }) => is !== 'hidden'))
      context.addIssue({ code: 'custom', message: 'needs a field that can be filled in', path: ['steps'] })
  })
export type FormDefinition = z.infer<typeof FormDefinition>

/** Whether others can hang on its answer. */
const canDecide = ({ is }: Field): boolean =>
  is === 'one-of' || is === 'several-of' || is === 'tick' || is === 'rating' || is === 'consent'

/** Limits that nothing could keep to. */
function limitsOf(field: Field): string[] {
  switch (field.is) {
    case 'short':
    case 'long':
      return field.least > field.most ? ['must not ask for more letters than it takes'] : []
    case 'number':
      return field.min !== null && field.max !== null && field.min > field.max ? ['must not begin after its end'] : []
    case 'several-of':
      return field.least > (field.most || field.options.length) || field.least > field.options.length
        ? ['must not ask for more than can be chosen']
        : []
    case 'date':
      return field.fromDays !== null && field.untilDays !== null && field.fromDays > field.untilDays
        ? ['must not begin after its end']
        : []
    default:
      return []
  }
}
