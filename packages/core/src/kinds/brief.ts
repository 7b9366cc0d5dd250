import type { z } from 'zod'
import { paragraphs, settingRegistry, type Control, type Paragraph, type SettingMeta } from './setting'
import type { Kind } from './kind'

/** A piece of a brief: plain words, or a setting's value as words, which is where it is changed. */
export type Piece = { text: string } | { key: string; label: string; words: string; control: Control }

export interface BriefParagraph {
  id: Paragraph
  heading: string
  pieces: Piece[]
}

/** Names of what ids in the settings stand for. */
export interface BriefContext {
  sourceNames: Record<string, string>
}

/** A kind's settings in the order its schema has them, each with its metadata. */
export function settingsOf(kind: Pick<Kind, 'settings'>): { key: string; meta: SettingMeta }[] {
  return Object.entries(kind.settings.shape).flatMap(([key, schema]) => {
    const meta = settingRegistry.get(schema as z.ZodType)
    return meta ? [{ key, meta }] : []
  })
}

/** The settings as paragraphs that read as plain sentences, every value a piece of its own. */
export function briefOf(
  kind: Pick<Kind, 'settings'>,
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
  const pieces = said.flatMap(({ key, meta }): Piece[] => [
    { text: meta.before },
    { key, label: meta.label, words: wordsFor(meta.control, settings[key], context), control: meta.control },
    ...(meta.after ? [{ text: meta.after }] : []),
  ])
  return [...pieces, { text: '.' }]
}

/** A value as the brief says it. */
export function wordsFor(control: Control, value: unknown, context: BriefContext): string {
  switch (control.type) {
    case 'number':
      return control.unit ? `${String(value)} ${control.unit}` : String(value)
    case 'choice':
      return control.options.find((o) => o.value === value)?.words ?? String(value)
    case 'switch':
      return value ? control.on : control.off
    case 'words':
      return (value as string[]).length ? listed(value as string[], 'or') : control.none
    case 'text':
      return value ? `“${String(value)}”` : control.none
    case 'colour':
      return value ? String(value) : (control.unset ?? '')
    case 'sources':
      return (value as string[]).length
        ? listed(
            (value as string[]).map((id) => context.sourceNames[id] ?? 'a source that is gone'),
            'and',
          )
        : 'no source yet'
  }
}

function listed(words: string[], last: string): string {
  return words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} ${last} ${words.at(-1)}`
}

/** The brief as text, for logs, mails and screen readers. */
export const briefText = (paragraphs: BriefParagraph[]) =>
  paragraphs.map((p) => p.pieces.map((piece) => ('text' in piece ? piece.text : piece.words)).join('')).join('\n')
