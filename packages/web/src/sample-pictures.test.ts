import { existsSync } from 'node:fs'
import { kindList } from '@pebblestrand/core/kinds'
import { describe, expect, it } from 'vitest'

const ORIGIN = 'https://own.example'
const shipped = new URL('../public', import.meta.url).pathname

describe('what stands as an example', () => {
  const named = Object.values(kindList).flatMap((kind) =>
    [...JSON.stringify(kind.sample(ORIGIN)).matchAll(/https:\/\/own\.example(\/[^"?#]+\.\w+)/g)].map(([, path]) => ({
      kind: kind.id,
      path: path!,
    })),
  )
  it('has pictures that ship with the application', () => {
    expect(new Set(named.map(({ kind }) => kind)).size).toBeGreaterThanOrEqual(4)
    expect(named.filter(({ path }) => !existsSync(shipped + path))).toEqual([])
  })
})
