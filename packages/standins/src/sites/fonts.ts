import { createRequire } from 'node:module'
import { readFileSync } from 'node:fs'

const require = createRequire(import.meta.url)

const packages: Record<string, string> = {
  Alegreya: 'alegreya',
  Cabin: 'cabin',
  Karla: 'karla',
  'Nunito Sans': 'nunito-sans',
  Spectral: 'spectral',
  'Zilla Slab': 'zilla-slab',
}
const weights = ['400', '700']

/** File name to bytes, for every family and weight the sites use. */
export const fontFiles = new Map(
  Object.values(packages).flatMap((name) =>
    weights.map((weight) => {
      const file = `${name}-latin-${weight}-normal.woff2`
      return [file, readFileSync(require.resolve(`@fontsource/${name}/files/${file}`))] as const
    }),
  ),
)

export const fontFace = (family: string) =>
  weights
    .map(
      (w) =>
        `@font-face{font-family:"${family}";src:url("/fonts/${packages[family]}-latin-${w}-normal.woff2") format("woff2");font-weight:${w};font-display:swap}`,
    )
    .join('\n')

/** The same faces as paths, for those who note a site's look. */
export const fontSources = (theme: { heading: string; body: string }) =>
  [...new Set([theme.heading, theme.body])].flatMap((family) =>
    weights.map((weight) => ({ family, weight, path: `/fonts/${packages[family]}-latin-${weight}-normal.woff2` })),
  )
