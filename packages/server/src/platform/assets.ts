import { createRequire } from 'node:module'
import { existsSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

const require = createRequire(import.meta.url)

/** The folder of packages/, whether this runs from src/ or bundled from dist/. */
function packagesFolder(): string {
  let at = dirname(fileURLToPath(import.meta.url))
  while (!existsSync(join(at, 'widget', 'package.json'))) {
    const up = dirname(at)
    if (up === at) throw new Error('The folder packages/ is not where it should be.')
    at = up
  }
  return at
}

const packages = packagesFolder()
const font = (name: string, file: string) => require.resolve(`@fontsource-variable/${name}/files/${file}`)

/** Built files: those the server hands out as they are, and the one its threads run. */
export const assets = {
  tasks: join(packages, 'server', 'dist', 'tasks.cjs'),
  runtime: join(packages, 'widget', 'dist', 'strand.js'),
  behaviours: join(packages, 'widget', 'dist', 'behaviours'),
  web: join(packages, 'web', 'dist'),
  fonts: {
    'atkinson-hyperlegible-next.woff2': font(
      'atkinson-hyperlegible-next',
      'atkinson-hyperlegible-next-latin-wght-normal.woff2',
    ),
    'bricolage-grotesque.woff2': font('bricolage-grotesque', 'bricolage-grotesque-latin-wght-normal.woff2'),
    'jetbrains-mono.woff2': font('jetbrains-mono', 'jetbrains-mono-latin-wght-normal.woff2'),
  },
}
