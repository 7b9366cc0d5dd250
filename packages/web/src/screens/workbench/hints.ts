import { kindOf, rowsHint } from '@pebblestrand/core/kinds'
import { contrast, contrastVerdict } from '@pebblestrand/core/look'
import { fit } from '@pebblestrand/core/layout'
import type { SiteLook } from '@pebblestrand/core/look'
import type { InjectionKey } from 'vue'

/** What a setting's control says beside its value. */
export const hintsKey: InjectionKey<(key: string) => string[]> = Symbol('hints')

interface Situation {
  kind: string
  settings: Record<string, unknown>
  /** Px, of the stage. */
  width: number
  look: SiteLook | null
}

/** Colours that apply where none is set: the site's, or dark on white. */
export function readableContrast({ kind, settings, look }: Situation): { text: string; passes: boolean } {
  const { text, background } = kindOf(kind)!.colours(settings)
  const ratio = contrast(text || (look?.text ?? '#1d2b34'), background || (look?.background ?? '#ffffff'))
  const verdict = contrastVerdict(ratio)
  return { text: `Text ${verdict.says}`, passes: verdict.passes }
}

export function hintsFor(key: string, situation: Situation): string[] {
  const kind = kindOf(situation.kind)!
  const spec = kind.fitSpec(situation.settings)
  const count = Number(situation.settings.count ?? 0)
  if (key === 'columns')
    return [
      `${Math.round(fit(situation.width, spec).askedCell)} px each in ${situation.width} px.`,
      ...maybe(rowsHint(count, spec.columns, 20)),
    ]
  if (key === 'count') return maybe(rowsHint(count, spec.columns, 20))
  if (key === 'text' || key === 'background') return [`${readableContrast(situation).text}.`]
  return []
}

const maybe = (text: string | null) => (text ? [text] : [])
