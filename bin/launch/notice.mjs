// npm run notice: writes NOTICE.md, which says under which licences what ships with Pebblestrand may be passed on. A test holds it to the
// lock file.
import { readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { root } from './settings.mjs'

/** SPDX identifiers that ask for no more than to be named. */
export const PERMISSIVE = [
  'MIT',
  'MIT-0',
  'ISC',
  'BSD-2-Clause',
  'BSD-3-Clause',
  '0BSD',
  'Apache-2.0',
  'BlueOak-1.0.0',
  'Unlicense',
  'CC0-1.0',
  '(MIT OR CC0-1.0)',
  '(MIT OR EUPL-1.1+)',
]

/** Those that ask for more, and how it is met. */
export const WITH_DUTIES = {
  'LGPL-3.0-or-later':
    'Shared libraries that sharp loads while it runs. They come unchanged, as packages of their own below `node_modules/@img`, and can be replaced there by another build of the same interface; `package.json` in each names where its source is.',
  'Apache-2.0 AND LGPL-3.0-or-later': 'As above, for systems where library and binding come in one package.',
  'Apache-2.0 AND LGPL-3.0-or-later AND MIT': 'As above, for WebAssembly.',
  'MPL-2.0':
    'Unchanged files below `node_modules/@resvg`; anyone who passes them on must say where their source is: `package.json` in each names it.',
  'OFL-1.1':
    'Fonts, bundled as they are. They may be passed on with software but not sold by themselves; changed ones may not keep a reserved name. Each package below `node_modules` has its licence beside the font.',
}

/** What ships: every package of the lock file that is no development tool, once for each version; of those for some systems only, those with duties. */
export function shipped() {
  const { packages } = JSON.parse(readFileSync(join(root, 'package-lock.json'), 'utf8'))
  const all = new Map()
  for (const [path, { version, license, dev, link, optional }] of Object.entries(packages)) {
    const at = path.lastIndexOf('node_modules/')
    if (at < 0 || dev || link || (optional && PERMISSIVE.includes(license))) continue
    const name = path.slice(at + 'node_modules/'.length)
    all.set(`${name} ${version}`, { name, version, license: license ?? 'unknown', path })
  }
  return [...all.values()].sort((a, b) => (a.name < b.name ? -1 : a.name > b.name ? 1 : a.version < b.version ? -1 : 1))
}

const row = ({ name, version }) => `| ${name} | ${version} |`
const HEAD = '| package | version |\n|---|---|'

/** NOTICE.md as it has to be. */
export function noticeText() {
  const byLicence = grouped(shipped())
  const parts = [...byLicence].sort(
    ([a], [b]) => Number(a in WITH_DUTIES ? 0 : 1) - Number(b in WITH_DUTIES ? 0 : 1) || (a < b ? -1 : 1),
  )
  const sections = parts.map(
    ([licence, all]) =>
      `## ${licence}\n\n${WITH_DUTIES[licence] ? `${WITH_DUTIES[licence]}\n\n` : ''}${HEAD}\n${all.map(row).join('\n')}\n`,
  )
  return `# What ships with Pebblestrand\n\nPebblestrand itself is under the MIT licence. It uses the packages below, unchanged; the whole text of each licence, and whose it is, stands in the package's folder after \`npm ci\`. Packages that are installed only on some systems are left out where their licence asks for no more than to be named. \`npm run notice\` makes this file.\n\n${sections.join('\n')}`
}

function grouped(all) {
  const groups = new Map()
  for (const one of all) groups.set(one.license, [...(groups.get(one.license) ?? []), one])
  return groups
}

if (process.argv[1] === fileURLToPath(import.meta.url)) writeFileSync(join(root, 'NOTICE.md'), noticeText())
