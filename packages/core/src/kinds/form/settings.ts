import { z } from 'zod'
import { Field, type FormDefinition } from '../../forms'
import { formGroup, localeGroup, lookGroup, messageGroup } from '../groups'

const { heading, body, small } = messageGroup.shape

/** As a form begins: who asks, and what for. */
const first: FormDefinition = {
  steps: [
    {
      title: '',
      fields: [
        Field.parse({ is: 'short', name: 'name', label: 'Your name', required: true }),
        Field.parse({ is: 'email', name: 'email', label: 'E-mail address', required: true }),
        Field.parse({ is: 'long', name: 'message', label: 'Your message', required: true }),
      ],
    },
  ],
}

/** Settings of the kind form. The order here is the order of the brief. */
export const FormKindSettings = z.strictObject({
  heading,
  body,
  ...formGroup.alone(first),
  ...lookGroup.shape(lookGroup.buttons),
  small,
  ...localeGroup.shape,
})

export type FormKindSettings = z.infer<typeof FormKindSettings>
