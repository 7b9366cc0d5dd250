import {
  autocompletion,
  closeBrackets,
  completionKeymap,
  type Completion,
  type CompletionContext,
} from '@codemirror/autocomplete'
import { defaultKeymap, history, historyKeymap, indentWithTab } from '@codemirror/commands'
import { css, cssLanguage } from '@codemirror/lang-css'
import { bracketMatching, HighlightStyle, syntaxHighlighting } from '@codemirror/language'
import { lintGutter, setDiagnostics } from '@codemirror/lint'
import { EditorState } from '@codemirror/state'
import { EditorView, highlightActiveLine, keymap, lineNumbers } from '@codemirror/view'
import type { CssNote } from '@pebblestrand/core/own-css'
import { tags } from '@lezer/highlight'

interface Names {
  /** Parts and variables with what each is. */
  parts: Record<string, string>
  variables: Record<string, string>
}

/** In the notebook's own inks. */
const inks = HighlightStyle.define([
  { tag: [tags.keyword, tags.definitionKeyword, tags.modifier], color: 'var(--color-heather)' },
  { tag: [tags.propertyName], color: 'var(--color-tide)' },
  { tag: [tags.className, tags.tagName, tags.labelName, tags.namespace], color: 'var(--color-kelp)' },
  { tag: [tags.number, tags.unit, tags.color, tags.atom], color: 'var(--color-ochre)' },
  { tag: [tags.string], color: 'var(--color-ochre)' },
  { tag: [tags.comment], color: 'var(--color-soft)', fontStyle: 'italic' },
])

const paper = EditorView.theme({
  '&': { height: '100%', fontSize: '13.5px', background: 'var(--color-sheet)', color: 'var(--color-ink)' },
  '.cm-content': { fontFamily: 'var(--font-mono)', caretColor: 'var(--color-ink)' },
  '.cm-gutters': { background: 'var(--color-paper)', color: 'var(--color-soft)', border: '0' },
  '.cm-activeLine, .cm-activeLineGutter': { background: 'transparent' },
  '&.cm-focused': { outline: '2px solid var(--color-tide)', outlineOffset: '1px' },
  '&.cm-focused .cm-selectionBackground, .cm-selectionBackground': { background: 'var(--color-sand)' },
  '.cm-tooltip': { background: 'var(--color-sheet)', color: 'var(--color-ink)', border: '1px solid var(--color-ink)' },
  '.cm-tooltip-autocomplete > ul > li[aria-selected]': { background: 'var(--color-ink)', color: 'var(--color-paper)' },
})

/** The widget's parts after `::` and its variables after `--`, each with what it is. */
function completing({ parts, variables }: Names) {
  const named = (names: Record<string, string>, apply: (name: string) => string, type: string): Completion[] =>
    Object.entries(names).map(([label, detail]) => ({ label: apply(label), detail, type }))
  const all = {
    parts: named(parts, (name) => `::part(${name})`, 'class'),
    variables: named(variables, (name) => name, 'variable'),
  }
  return (context: CompletionContext) => {
    const part = context.matchBefore(/::?[a-z(]*$/)
    if (part) return { from: part.from, options: all.parts }
    // It is given 250 letters of one line at most.
    // eslint-disable-next-line regexp/no-super-linear-move
    const variable = context.matchBefore(/--[a-z-]*/)
    return variable ? { from: variable.from, options: all.variables } : null
  }
}

/** A CSS editor in an element: gives back what it needs to be told, and how it ends. */
export function cssEditor(
  parent: HTMLElement,
  text: string,
  names: Names,
  changed: (text: string) => void,
): { note(notes: readonly CssNote[]): void; replace(text: string): void; end(): void; focus(): void } {
  const view = new EditorView({
    parent,
    state: EditorState.create({
      doc: text,
      extensions: [
        lineNumbers(),
        history(),
        bracketMatching(),
        closeBrackets(),
        highlightActiveLine(),
        lintGutter(),
        autocompletion(),
        css(),
        cssLanguage.data.of({ autocomplete: completing(names) }),
        syntaxHighlighting(inks),
        paper,
        // Tab leaves the editor for who moves by keyboard; Ctrl+M changes that (CodeMirror's own toggle).
        keymap.of([...completionKeymap, ...defaultKeymap, ...historyKeymap, { ...indentWithTab, key: 'Alt-Tab' }]),
        EditorView.lineWrapping,
        EditorView.contentAttributes.of({ 'aria-label': 'Own CSS' }),
        EditorView.updateListener.of((update) => {
          if (update.docChanged) changed(update.state.doc.toString())
        }),
      ],
    }),
  })
  return {
    note(notes) {
      const { doc } = view.state
      const marks = notes.map(({ line, column, kind, says }) => {
        const at = doc.line(Math.min(line, doc.lines))
        const from = Math.min(at.from + column - 1, at.to)
        return { from, to: at.to, severity: kind === 'unknown' ? 'warning' : 'error', message: says } as const
      })
      view.dispatch(setDiagnostics(view.state, marks))
    },
    replace(next) {
      if (next !== view.state.doc.toString())
        view.dispatch({ changes: { from: 0, to: view.state.doc.length, insert: next } })
    },
    end: () => view.destroy(),
    focus: () => view.focus(),
  }
}
