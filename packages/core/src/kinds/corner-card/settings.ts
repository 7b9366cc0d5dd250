import { z } from 'zod'
import { formGroup, localeGroup, lookGroup, messageGroup, overPageGroup, presenceGroup } from '../groups'

const places = {
  'bottom-end': 'in the lower corner where lines end',
  'bottom-start': 'in the lower corner where lines begin',
  'top-end': 'in the upper corner where lines end',
  'top-start': 'in the upper corner where lines begin',
}

/** Settings of the kind corner card. The order here is the order of the brief. */
export const CornerCardSettings = z.strictObject({
  ...messageGroup.shape,
  ...formGroup.shape,
  ...overPageGroup.stands(places, {
    desktop: { width: 340, at: 'bottom-end', offset: 20 },
    tablet: { width: 320, at: 'bottom-end', offset: 16 },
    phone: { width: 320, at: 'bottom-end', offset: 8 },
  }),
  ...messageGroup.picturePlacing,
  ...overPageGroup.motion({ enter: 'slide', from: 'bottom' }),
  ...lookGroup.shape(lookGroup.buttons, "the site's own"),
  ...localeGroup.shape,
  ...overPageGroup.labels,
  ...presenceGroup.shape({ triggers: [{ on: 'scrolled', share: 30 }], perVisit: 1, days: 14, beside: false }),
})

export type CornerCardSettings = z.infer<typeof CornerCardSettings>
