/** What is noted of a site's look, as it is asked for; the optional ones may stay empty. */
export const lookFields = [
  { name: 'bodyFont', label: 'Font of the text', example: 'Cabin, sans-serif', number: false, optional: false },
  { name: 'headingFont', label: 'Font of headings', example: 'Zilla Slab, serif', number: false, optional: false },
  { name: 'text', label: 'Colour of the text', example: '#16324a', number: false, optional: false },
  { name: 'background', label: 'Colour of the page', example: '#ffffff', number: false, optional: false },
  { name: 'accent', label: 'Accent', example: '#1f5f99', number: false, optional: false },
  { name: 'contentWidth', label: 'Width of the content, px', example: '', number: true, optional: false },
  { name: 'button', label: 'Colour of buttons, if any', example: '#1f5f99', number: false, optional: true },
  { name: 'buttonText', label: 'Words on buttons', example: '#ffffff', number: false, optional: true },
] as const

export const emptyLook = {
  bodyFont: '',
  headingFont: '',
  text: '',
  background: '',
  accent: '',
  contentWidth: null,
  button: '',
  buttonText: '',
}
