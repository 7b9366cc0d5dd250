/** As what a sheet can be kept. */
export const fileForms = {
  txt: { name: 'text', type: 'text/plain; charset=utf-8' },
  md: { name: 'Markdown', type: 'text/markdown; charset=utf-8' },
  html: { name: 'HTML', type: 'text/html; charset=utf-8' },
} as const
export type FileForm = keyof typeof fileForms
export const fileFormIds = Object.keys(fileForms) as [FileForm, ...FileForm[]]
