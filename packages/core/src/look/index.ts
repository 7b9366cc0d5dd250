export { channels, luminance, contrast, contrastVerdict } from './contrast'
export { shippedFonts, type ShippedFont, type SiteLook } from './fonts'
export { fontFamilies, fontList } from './font-list'
