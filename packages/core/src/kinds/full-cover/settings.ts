import { z } from 'zod'
import { formGroup, localeGroup, lookGroup, messageGroup, overPageGroup, presenceGroup } from '../groups'

const places = { centre: 'in the middle', top: 'at the top', bottom: 'at the bottom' }

/** Settings of the kind full cover. The order here is the order of the brief. */
export const FullCoverSettings = z.strictObject({
  ...messageGroup.shape,
  ...formGroup.shape,
  ...overPageGroup.stands(places, {
    desktop: { width: 720, at: 'centre', offset: 40 },
    tablet: { width: 600, at: 'centre', offset: 32 },
    phone: { width: 560, at: 'centre', offset: 20 },
  }),
  ...messageGroup.picturePlacing,
  ...overPageGroup.motion({ enter: 'fade', from: 'top' }),
  ...lookGroup.shape(lookGroup.buttons, "the site's own"),
  /** What covers the page is its own background: its opacity says how much of the page is seen through it. */
  ...localeGroup.shape,
  ...overPageGroup.labels,
  ...presenceGroup.shape({ triggers: [{ on: 'seconds', seconds: 15 }], perVisit: 1, days: 14, beside: false }),
})

export type FullCoverSettings = z.infer<typeof FullCoverSettings>
