import { formGroup, lookGroup } from '../groups'
import type { Kind } from '../kind'
import { box } from './box'
import { formKindCss } from './css'
import { formKindHtml } from './html'
import { FormKindSettings } from './settings'
import { formStarters } from './starters'

export const form: Kind<FormKindSettings> = {
  id: 'form',
  name: 'Form',
  purpose: 'Fields in a page: what visitors write is kept, answered and passed on.',
  version: 1,
  upgrade: {},
  settings: FormKindSettings,
  starters: formStarters,
  sample: () => ({ items: [], facts: {} }),
  render: ({ settings, ...view }) => ({
    html: formKindHtml({ settings, ...view }),
    css: formKindCss(settings),
    font: lookGroup.font(settings),
    behaviours: formGroup.behaviours(settings),
    data: formGroup.data(settings, view.context),
  }),
  box,
  form: ({ fields }) => fields,
  parts: ['heading', 'text', 'button', 'meta', ...formGroup.parts],
  pairs: lookGroup.pairs,
}
