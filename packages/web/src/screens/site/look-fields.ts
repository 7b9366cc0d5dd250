/** What is noted of a site's look, as it is asked for. */
export const lookFields = [
  { name: 'bodyFont', label: 'Font of the text', example: 'Cabin, sans-serif', number: false },
  { name: 'headingFont', label: 'Font of headings', example: 'Zilla Slab, serif', number: false },
  { name: 'text', label: 'Colour of the text', example: '#16324a', number: false },
  { name: 'background', label: 'Colour of the page', example: '#ffffff', number: false },
  { name: 'accent', label: 'Colour of links', example: '#1f5f99', number: false },
  { name: 'contentWidth', label: 'Width of the content, px', example: '', number: true },
] as const

export const emptyLook = { bodyFont: '', headingFont: '', text: '', background: '', accent: '', contentWidth: null }
