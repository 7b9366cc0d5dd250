import type { z } from 'zod'
import { wordsFor, type BriefContext, type Control } from './controls'
import { paragraphs, settingRegistry, type Paragraph, type SettingMeta } from './setting'
import type { Kind } from './kind'

/** A piece of a brief: plain words, or a setting's value as words, which is where it is changed. */
export type Piece =
  { text: string } | { key: string; label: string; words: string; control: Control; hints: SettingMeta['hints'] }

export interface BriefParagraph {
  id: Paragraph
  heading: string
  pieces: Piece[]
}

type WithSettings = Pick<Kind, 'settings'>

/** A kind's settings in the order its schema has them, each with its metadata. */
export function settingsOf(kind: WithSettings): { key: string; meta: SettingMeta }[] {
  return Object.entries(kind.settings.shape).flatMap(([key, schema]) => {
    const meta = settingRegistry.get(schema as z.ZodType)
    return meta ? [{ key, meta }] : []
  })
}

/** The settings as paragraphs that read as plain sentences, every value a piece of its own. */
export function briefOf(
  kind: WithSettings,
  settings: Record<string, unknown>,
  context: BriefContext,
): BriefParagraph[] {
  const said = settingsOf(kind).filter(({ meta }) => meta.when?.(settings) ?? true)
  return (Object.keys(paragraphs) as Paragraph[])
    .map((id) => ({
      id,
      heading: paragraphs[id],
      pieces: sentence(
        said.filter((s) => s.meta.paragraph === id),
        settings,
        context,
      ),
    }))
    .filter((paragraph) => paragraph.pieces.length > 0)
}

function sentence(
  said: { key: string; meta: SettingMeta }[],
  settings: Record<string, unknown>,
  context: BriefContext,
): Piece[] {
  if (!said.length) return []
  const pieces = said.flatMap(({ key, meta }): Piece[] => {
    const control = filled(meta.control, settings)
    return [
      { text: meta.before },
      { key, label: meta.label, words: wordsFor(control, settings[key], context), control, hints: meta.hints },
      ...(meta.after ? [{ text: meta.after }] : []),
    ]
  })
  return [...begun(pieces), { text: '.' }]
}

/** What stands first begins the sentence, whatever it follows elsewhere. */
function begun([first, ...rest]: Piece[]): Piece[] {
  if (!first || !('text' in first)) return first ? [first, ...rest] : []
  const text = first.text.replace(/^[.;,\s]+/, '')
  return [{ text: text.charAt(0).toUpperCase() + text.slice(1) }, ...rest]
}

/** Options whose words name another setting in braces say its value: "the first {count}". */
function filled(control: Control, settings: Record<string, unknown>): Control {
  if (control.type !== 'choice') return control
  const options = control.options.map(({ value, words }) => ({
    value,
    words: words.replace(/\{(\w+)\}/g, (_, key: string) => String(settings[key])),
  }))
  return { ...control, options }
}

/** The brief as text, for logs, mails and screen readers. */
export const briefText = (paragraphs: BriefParagraph[]) =>
  paragraphs.map((p) => p.pieces.map((piece) => ('text' in piece ? piece.text : piece.words)).join('')).join('\n')
