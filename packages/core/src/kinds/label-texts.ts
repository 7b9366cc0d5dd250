import { z } from 'zod'
import type { LabelId } from '../words'
import { settingRegistry, type SettingMeta } from './setting'

/** A label that the widget says; `names`: it names a control, and is never left out. */
export interface LabelPart {
  label: string
  says: LabelId
  names?: boolean
}

/**
 * Labels of a widget under one name, each reworded, left out ('') or said as the widget's language says it (null, as at first).
 * What is rendered has strings alone (spoken.ts), so that is their type. `saidBy` stands for all of them in the brief.
 */
export const labelTexts = <const K extends string>(
  parts: Record<K, LabelPart>,
  limits: { most: number; saidBy: NoInfer<K> },
  place: Omit<SettingMeta, 'control'>,
) => {
  const entries = Object.entries(parts) as [K, LabelPart][]
  const words = z.string().trim().max(limits.most, `must have ${limits.most} letters or fewer`).nullable().default(null)
  const shape = Object.fromEntries(entries.map(([key]) => [key, words])) as unknown as Record<
    K,
    z.ZodDefault<z.ZodString>
  >
  return z
    .strictObject(shape)
    .default(Object.fromEntries(entries.map(([key]) => [key, null])) as never)
    .register(settingRegistry, {
      ...place,
      control: {
        type: 'object',
        saidBy: limits.saidBy,
        parts: Object.fromEntries(
          entries.map(([key, { label, says, names }]) => [
            key,
            { label, control: { type: 'label' as const, most: limits.most, says, names: names ?? false } },
          ]),
        ),
      },
    })
}
