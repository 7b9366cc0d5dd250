import { inject } from 'vitest'

/** Where this test file's simulated sites answer. Files that run side by side have each their own, since a page is shared by all who see it. */
export function standinsPort(): number {
  const ports = inject('standinsPorts')
  return ports[(Number(process.env.VITEST_POOL_ID ?? 1) - 1) % ports.length]!
}
