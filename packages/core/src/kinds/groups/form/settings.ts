import { FormDefinition } from '../../../forms'
import type { RichText } from '../../../rich-text'
import { labelTexts } from '../../label-texts'
import { choice, link, list, number, onOff, rich, settingRegistry } from '../../setting'
import { messageGroup, type Button } from '../message'

const asks = (label: string, before: string) => ({ label, paragraph: 'asks' as const, before, written: true as const })
const after = (label: string, before: string) => ({
  label,
  paragraph: 'after' as const,
  before,
  written: true as const,
})
const hasFields = (s: Record<string, unknown>) => s.fields !== null
const AFTER = {
  thanks: 'a thank-you stands in its place',
  page: 'another page opens',
  closes: 'it closes by itself',
} as const

/** Fields and steps, by a control of their own. @param none what it says where there are none; null where it must have some */
const fields = (byDefault: FormDefinition | null, none: string | null) =>
  (none === null ? FormDefinition : FormDefinition.nullable()).default(byDefault as never).register(settingRegistry, {
    ...asks('Fields', 'It asks for '),
    control: { type: 'fields', none },
  } as never)

/** What of a form is decided whatever it stands in. */
const rest = {
  thanks: rich(2000, 'that it has arrived, and no more', { ...after('The thank-you', ', saying '), when: hasFields }),
  afterPage: link('none yet', {
    ...after('Which page', ': '),
    when: (s) => hasFields(s) && s.after === 'page',
  }),
  afterButton: list(
    messageGroup.buttonEntry,
    { most: 1, one: 'button', none: 'no button' },
    { ...after('A button below it', ', with '), when: hasFields },
  ),
  results: onOff({ on: 'shown', off: 'kept back' }, false, {
    ...after('What all answered', '; what all answered is '),
    after: ' to who has answered',
    when: hasFields,
  }),
  formWords: labelTexts(
    {
      send: { label: 'To send', says: 'send', names: true },
      goOn: { label: 'To the next step', says: 'goOn', names: true },
      goBack: { label: 'To the step before', says: 'goBack', names: true },
      optional: { label: 'Beside what may be left out', says: 'optional' },
    },
    { most: 60, saidBy: 'send' },
    { label: 'Words of the form', paragraph: 'words', before: '; sent by ', when: hasFields },
  ),
}

/** Fields within something that stands over the page. */
export const withinShape = {
  fields: fields(null, 'nothing'),
  after: choice(AFTER, 'thanks', { ...after('After it is sent', 'Then '), when: hasFields }),
  ...rest,
  afterSeconds: number(
    { min: 1, max: 60, unit: 's', byDefault: 5 },
    { ...after('After how long', ' after '), when: (s) => hasFields(s) && s.after === 'closes' },
  ),
}

/** A form that sits in a page: nothing there closes. */
export const alone = (byDefault: FormDefinition) => ({
  fields: fields(byDefault, null),
  after: choice({ thanks: AFTER.thanks, page: AFTER.page }, 'thanks', after('After it is sent', 'Then ')),
  ...rest,
})

export interface FormSettings {
  fields: FormDefinition | null
  after: keyof typeof AFTER
  thanks: RichText
  afterPage: string
  afterSeconds?: number
  afterButton: Button[]
  results: boolean
  formWords: { send: string; goOn: string; goBack: string; optional: string }
  locale: string
}
