import { z } from 'zod'
import { formGroup, localeGroup, lookGroup, messageGroup, overPageGroup, presenceGroup } from '../groups'

const places = { centre: 'in the middle', top: 'at the top', bottom: 'at the bottom' }

/** Settings of the kind centre dialog. The order here is the order of the brief. */
export const CentreDialogSettings = z.strictObject({
  ...messageGroup.shape,
  ...formGroup.shape,
  ...overPageGroup.stands(places, {
    desktop: { width: 520, at: 'centre', offset: 24 },
    tablet: { width: 480, at: 'centre', offset: 24 },
    phone: { width: 400, at: 'bottom', offset: 12 },
  }),
  ...messageGroup.picturePlacing,
  ...overPageGroup.motion({ enter: 'grow', from: 'bottom' }),
  ...lookGroup.shape(lookGroup.buttons, "the site's own"),
  ...overPageGroup.backdrop({ colour: '#0B1215', opacity: 55 }),
  ...localeGroup.shape,
  ...overPageGroup.labels,
  ...presenceGroup.shape({ triggers: [{ on: 'seconds', seconds: 15 }], perVisit: 1, days: 14, beside: false }),
})

export type CentreDialogSettings = z.infer<typeof CentreDialogSettings>
