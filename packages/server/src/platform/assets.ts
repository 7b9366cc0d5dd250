import { createRequire } from 'node:module'
import { existsSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { shippedFace, shippedFonts, type ShippedFont } from '@pebblestrand/core/look'

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
const font = (source: string, file: string) => require.resolve(`@fontsource-variable/${source}/files/${file}`)

/** Where each file of a shipped face is, by the name it is served under. */
function shipped(): Record<string, string> {
  const files = (Object.keys(shippedFonts) as ShippedFont[]).flatMap((id) => {
    const { file, more } = shippedFace(id)
    return [file, ...more.map((part) => part.file)].map((name) => [name, font(shippedFonts[id].source, name)])
  })
  return Object.fromEntries(files) as Record<string, string>
}

/** Names that releases of before ask for. */
const former = Object.fromEntries(
  ['atkinson-hyperlegible-next', 'bricolage-grotesque', 'jetbrains-mono'].map((source) => [
    `${source}.woff2`,
    font(source, `${source}-latin-wght-normal.woff2`),
  ]),
)

/** Built files: those the server hands out as they are, and what its threads and its process for pictures run. */
export const assets = {
  tasks: join(packages, 'server', 'dist', 'tasks.cjs'),
  pictures: join(packages, 'server', 'dist', 'pictures.cjs'),
  runtime: join(packages, 'widget', 'dist', 'strand.js'),
  sheet: join(packages, 'widget', 'dist', 'sheet.js'),
  /** Of the workbench's stage. */
  stage: join(packages, 'widget', 'dist', 'stage.js'),
  behaviours: join(packages, 'widget', 'dist', 'behaviours'),
  web: join(packages, 'web', 'dist'),
  fonts: { ...shipped(), ...former },
}
