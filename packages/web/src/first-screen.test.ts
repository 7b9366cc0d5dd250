import { readFileSync } from 'node:fs'
import { gzipSync } from 'node:zlib'
import { describe, expect, it } from 'vitest'

const dist = new URL('../dist/', import.meta.url)
interface Chunk {
  file: string
  imports?: string[]
}
const manifest = JSON.parse(readFileSync(new URL('.vite/manifest.json', dist), 'utf8')) as Record<string, Chunk>

/** Everything a browser fetches before it can run these modules. */
function closure(entries: string[]): Set<string> {
  const files = new Set<string>()
  const seen = new Set<string>()
  const open = [...entries]
  for (let name = open.pop(); name; name = open.pop()) {
    if (seen.has(name)) continue
    seen.add(name)
    files.add(manifest[name]!.file)
    open.push(...(manifest[name]!.imports ?? []))
  }
  return files
}
const text = (file: string) => readFileSync(new URL(file, dist), 'utf8')
const kilobytes = (files: Set<string>) =>
  [...files].reduce((sum, file) => sum + gzipSync(text(file), { level: 9 }).length, 0) / 1024

/** Kilobytes of script, compressed, before the first screen stands. */
const BUDGET = 150

describe('the first screen', () => {
  it.each([
    ['sign-in', 'src/screens/sign-in/SignIn.vue'],
    ['Today', 'src/screens/today/Today.vue'],
  ])(`${'%s'} takes less than ${BUDGET} kB of script`, (_name, screen) => {
    const files = closure(['index.html', screen])
    expect(files.size).toBeGreaterThan(1)
    expect(kilobytes(files)).toBeLessThan(BUDGET)
  })
  // parse5 is what the verifier reads pages with; "eof-in-doctype" is one of its error codes and stands nowhere else.
  it('brings no HTML parser along, on any screen', () => {
    const screens = Object.keys(manifest).filter((name) => name.endsWith('.vue'))
    expect(screens.length).toBeGreaterThan(5)
    for (const file of closure(['index.html', ...screens]))
      expect([file, /eof-in-doctype/.test(text(file))]).toEqual([file, false])
  })
})
