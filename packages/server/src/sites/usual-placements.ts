/** What most sites have, and how wide it is: assumed where nobody looked. */
export const usualPlacements = [
  { name: 'header', region: 'header', width: 1280 },
  { name: 'main', region: 'main', width: 720 },
  { name: 'sidebar', region: 'sidebar', width: 300 },
  { name: 'footer', region: 'footer', width: 1280 },
] as const
