/** Devices as visitors have them: by the window's width, as the rest of this application tells them apart. */
export const devices = ['phone', 'tablet', 'desktop'] as const
export type Device = (typeof devices)[number]

/** Px: windows narrower than that are a phone's, a tablet's. */
export const NARROWER = { phone: 600, tablet: 1024 }

/** @param width of the window, px */
export const deviceOf = (width: number): Device =>
  width < NARROWER.phone ? 'phone' : width < NARROWER.tablet ? 'tablet' : 'desktop'
