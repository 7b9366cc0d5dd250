import { blanksOf, type FormDefinition } from '@pebblestrand/core/forms'
import { kindOf, readSettings } from '@pebblestrand/core/kinds'
import type { WidgetDetail } from '../../api/types'

/** What a widget asks for in its draft; null where it asks for nothing. */
export function formOfWidget({ kind: id, draft }: WidgetDetail): FormDefinition | null {
  const kind = kindOf(id)
  return kind?.form?.(readSettings(kind, draft.settings, kind.version)) ?? null
}

export const blanksOfWidget = blanksOf
