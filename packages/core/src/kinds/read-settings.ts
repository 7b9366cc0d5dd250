import type { z } from 'zod'
import type { Kind, Settings } from './kind'

/**
 * Stored settings as the kind has them now: brought up version by version, members it does not know left out at any depth, and
 * the default in place of a value it cannot take. A release of last year still renders. Never throws.
 * @param version the kind's version when they were stored
 */
export function readSettings<S>(
  kind: Pick<Kind<S>, 'settings' | 'version' | 'upgrade'>,
  stored: Settings,
  version: number,
): S {
  const current = upgraded(kind, stored, version)
  const whole = Object.entries(kind.settings.shape).map(([key, schema]) => [key, readValue(schema, current[key])])
  return Object.fromEntries(whole) as S
}

/** Settings that a step cannot take, since they are damaged, are read as they are. */
function upgraded<S>(
  { version: newest, upgrade }: Pick<Kind<S>, 'version' | 'upgrade'>,
  stored: Settings,
  from: number,
) {
  let current = stored
  try {
    for (let v = from; v < newest; v++) current = upgrade[v]?.(current) ?? current
    return current
  } catch {
    return stored
  }
}

function readValue(schema: z.ZodType, value: unknown): unknown {
  const read = schema.safeParse(value)
  if (read.success) return read.data
  const known = schema.safeParse(withoutUnknown(value, read.error.issues))
  return known.success ? known.data : schema.parse(undefined)
}

/** A copy without the members of which a strict schema complained. */
function withoutUnknown(value: unknown, issues: z.core.$ZodIssue[]): unknown {
  const copy = structuredClone(value)
  for (const issue of issues) {
    if (issue.code !== 'unrecognized_keys') continue
    const holder = issue.path.reduce<unknown>((at, key) => (at as Record<PropertyKey, unknown>)[key], copy)
    for (const key of issue.keys) delete (holder as Record<string, unknown>)[key]
  }
  return copy
}
