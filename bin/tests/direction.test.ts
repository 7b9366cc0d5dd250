import { existsSync, readdirSync } from 'node:fs'
import { ESLint } from 'eslint'
import { describe, expect, it } from 'vitest'
import { order } from '../../eslint.subjects.js'

const root = new URL('../..', import.meta.url).pathname
const eslint = new ESLint({ cwd: root })

/** The messages lint has for a line of code, were it in that file. */
async function lint(filePath: string, code: string): Promise<string[]> {
  const [result] = await eslint.lintText(code, { filePath: `${root}${filePath}` })
  return result!.messages
    .filter((m) => m.severity === 2 && m.ruleId !== '@typescript-eslint/no-unused-vars')
    .map((m) => m.message)
}

describe('which way dependencies run is a rule that fails the build', () => {
  it.each([
    [
      'packages/core/src/x.ts',
      "export { render } from '@pebblestrand/widget'",
      /packages\/core must not import packages\/widget/,
    ],
    ['packages/core/src/x.ts', "export * from 'node:fs'", /pure libraries only/],
    ['packages/core/src/x.ts', "export * from 'vue'", /pure libraries only/],
    ['packages/core/src/x.ts', 'export const now = () => new Date()', /no clock/],
    ['packages/core/src/x.ts', 'export const now = () => Date.now()', /no clock/],
    ['packages/core/src/x.ts', 'export const dice = () => Math.random()', /no dice/],
    ['packages/core/src/x.ts', 'export const w = () => document', /no DOM/],
    ['packages/widget/src/x.ts', "export { fit } from '@pebblestrand/core/layout'", /Only core's types/],
    [
      'packages/widget/src/x.ts',
      "export * from '@pebblestrand/web/x'",
      /packages\/widget must not import packages\/web/,
    ],
    [
      'packages/server/src/x.ts',
      "export * from '@pebblestrand/web/x'",
      /packages\/server must not import packages\/web/,
    ],
    ['packages/server/src/x.ts', "export * from '@pebblestrand/standins/x'", /must not import packages\/standins/],
    [
      'packages/standins/src/x.ts',
      "export * from '@pebblestrand/core/items'",
      /packages\/standins must not import packages\/core/,
    ],
    [
      'packages/web/src/x.ts',
      "export * from '@pebblestrand/server/x'",
      /packages\/web must not import packages\/server/,
    ],
    ['packages/web/src/x.ts', "export * from '../../server/src/start'", /by its name, not by a path/],
    ['packages/server/src/sites/x.ts', "export * from '../checks/models'", /only those above it/],
    ['packages/server/src/sites/look/x.ts', "export * from '../../checks/models'", /only those above it/],
    ['packages/server/src/looks/x.ts', "export * from '../sites/models'", /only those above it/],
    ['packages/server/src/installs/describe.ts', "export * from '../removals/models'", /only those above it/],
    ['packages/server/src/x.ts', "export * from '@pebblestrand/core/src/items/dates'", /a folder's index/],
  ])('%s: %s', async (file, code, says) => expect((await lint(file, code)).join('\n')).toMatch(says))

  it.each([
    ['packages/core/src/x.ts', "export { z } from 'zod'"],
    ['packages/core/src/x.ts', 'export const at = (iso: string) => new Date(iso)'],
    ['packages/widget/src/x.ts', "export type { Fit } from '@pebblestrand/core/layout'"],
    ['packages/server/src/x.ts', "export { fit } from '@pebblestrand/core/layout'"],
    ['packages/web/src/x.ts', "export { render } from '@pebblestrand/widget'"],
  ])('lets %s: %s', async (file, code) => expect(await lint(file, code)).toEqual([]))
})

it('every folder of the server that is a subject has its place in the order', () => {
  const folders = readdirSync(`${root}packages/server/src`).filter((folder) =>
    existsSync(`${root}packages/server/src/${folder}/subject.ts`),
  )
  expect([...order].sort()).toEqual(['looks', ...folders].sort())
})
