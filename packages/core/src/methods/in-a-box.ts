import { snippetParts, type EditorBox, type SnippetPart } from '../platforms'
import { ended, type Circumstances, type LossId, type Outcome } from './outcome'

type MarkupPart = Exclude<SnippetPart, 'address' | 'shortcode'>

/** What becomes of markup that needs these parts: null where the box leaves them alone. */
export function harmed(box: EditorBox, needs: readonly MarkupPart[]): Outcome | null {
  // Once a bracket is escaped, all of it is words.
  const words = needs.find((part) => box.treats[part] === 'escapes')
  if (words) return ended('code', `the ${lower(box)} shows ${snippetParts[words]} as text`)
  const gone = needs.find((part) => box.treats[part] === 'strips')
  return gone ? ended('nothing', `the ${lower(box)} strips ${snippetParts[gone]}`) : null
}

/** Losses of what stands in a frame that the platform puts around it; `framed` where the method is a frame itself. */
export function withinOwnFrame({ ownFrame }: EditorBox, about: Circumstances): LossId[] {
  if (!ownFrame) return []
  const { sandbox } = ownFrame
  const may = (token: string) => !sandbox || (sandbox as readonly string[]).includes(token)
  return [
    ...(about.region === null ? (['overPage'] as const) : []),
    'size',
    ...frameLosses(about, false),
    ...(may('allow-popups') || may('allow-top-navigation-by-user-activation') || may('allow-top-navigation')
      ? []
      : (['links'] as const)),
  ]
}

/** What no frame of ours can do. Where the site's tag is, it makes frames that stand in the page itself as high as what is in them. */
export const frameLosses = (about: Circumstances, isInPage = true): LossId[] => [
  ...(isInPage && about.tag === 'confirmed' ? [] : (['growth'] as const)),
  'font',
  ...(['enlarge', 'more'] as const).filter((name) => about.behaviours.includes(name)),
]

/** What a film loses whose player stands in a frame: of the page itself, or within a frame of these origins. */
export const keptFromScreen = (about: Circumstances, origins = about.players ?? []): LossId | false =>
  Boolean(about.players?.length) && Boolean(about.withholds?.('fullscreen', origins)) && 'screen'

/** Scripts in what takes a page's place without loading do not run; once a page loads the tag, that fills what comes. */
export const unlessLoaded = ({ ownFrame }: EditorBox, { navigation, tag }: Circumstances): LossId | false =>
  navigation === 'without loading' && !ownFrame && tag !== 'confirmed' && 'unloaded'

/** Whether scripts run in what stands in a box. */
export const runsScripts = ({ ownFrame }: EditorBox) => !ownFrame?.sandbox || ownFrame.sandbox.includes('allow-scripts')

/** What comes of it, or that a rule of the site stops it; what would be lost once it is let through is lost all the same. */
export function unlessRefused(
  about: Circumstances,
  needs: Record<string, readonly string[]>,
  outcome: Outcome,
): Outcome {
  const bar = about.refused(needs)
  return bar ? { ends: 'blocked', losses: outcome.losses, because: bar.problem, rule: bar.rule } : outcome
}

/** A name as it stands within a sentence. */
export const lower = ({ name }: { name: string }) => name.charAt(0).toLowerCase() + name.slice(1)
