import type { Picture } from '../../items'
import { webAddress } from '../../markup'
import type { Rendered } from '../kind'
import type { LabelPart } from '../label-texts'

/** What of an item is shown when it is enlarged. */
export interface Enlarged {
  pictures: { src: string; width: number | null; height: number | null; alt: string }[]
  caption: string
  /** Language of the caption, '' where it is not known. */
  lang: string
  /** Where it comes from; '' for nowhere. */
  link: string
  /** A page that plays it, and what that calls: the page asks nobody before it is enlarged. */
  player?: { src: string; note: string }
}

/** Words of the dialog, as settings. */
export const enlargeWords = {
  open: { label: 'Enlarge, said aloud', says: 'enlarge', names: true },
  close: { label: 'Button to close', says: 'close', names: true },
  before: { label: 'Button to the one before', says: 'oneBack', names: true },
  after: { label: 'Button to the next', says: 'oneOn', names: true },
  original: { label: 'Link to the original', says: 'original' },
  counter: { label: 'Which of how many', says: 'position' },
} as const satisfies Record<string, LabelPart>
export type EnlargeWords = Record<keyof typeof enlargeWords, string>

/** The largest of our copies of a picture; where there is none yet, the picture it came from. */
export function largest({ url, own, width, height, alt }: Picture): Enlarged['pictures'][number] {
  return { src: own ? `${own.base}-${Math.max(...own.widths)}.webp` : url, width, height, alt }
}

/** What comes from elsewhere leads to web addresses only: the behaviour puts it into its elements as it is. */
export const gated = ({ pictures, link, player, ...words }: Enlarged): Enlarged => ({
  ...words,
  pictures: pictures.map((picture) => ({ ...picture, src: webAddress(picture.src) })),
  link: webAddress(link),
  ...(player && webAddress(player.src) ? { player } : {}),
})

/** What the behaviour `enlarge` works with; cells carry `data-en`, their number. */
export const enlargeData = (items: readonly Enlarged[], words: EnlargeWords) => ({
  enlarge: {
    items,
    words: Object.fromEntries(Object.keys(enlargeWords).map((key) => [key, words[key as keyof EnlargeWords]])),
  },
})

/** Origins of what plays in frames when a visitor asks for it, each once. */
export function playersOf({ data, more = [] }: Pick<Rendered, 'data' | 'more'>): string[] {
  const first = (data.enlarge as { items?: readonly Enlarged[] } | undefined)?.items ?? []
  const later = more.flatMap((part) => (part.data.items as readonly Enlarged[] | undefined) ?? [])
  const addresses = [...first, ...later].flatMap(({ player }) => player?.src ?? [])
  return [...new Set(addresses.filter((one) => URL.canParse(one)).map((one) => new URL(one).origin))]
}

/** The dialog, within the widget's own root; it covers the page, or the frame that the widget stands in. */
export const enlargeCss =
  '.en{position:fixed;inset:0;box-sizing:border-box;width:100vw;height:100vh;height:100dvh;max-width:none;max-height:none;margin:0;padding:0;border:0;background:#14181bf2;color:#fff;font:16px/1.45 system-ui,sans-serif;overscroll-behavior:contain}' +
  '.en::backdrop{background:none}' +
  '.en-in{display:grid;grid-template-rows:auto minmax(0,1fr) auto;height:100%;gap:8px;padding:max(10px,env(safe-area-inset-top)) max(10px,env(safe-area-inset-right)) max(10px,env(safe-area-inset-bottom)) max(10px,env(safe-area-inset-left));box-sizing:border-box}' +
  '.en-top{display:flex;align-items:center;justify-content:space-between}' +
  '.en-st{position:relative;display:grid;grid-template:minmax(0,1fr)/minmax(0,1fr);place-items:center;min-height:0;min-width:0;overflow:hidden;touch-action:pan-y pinch-zoom}' +
  '.en-st img{width:auto;height:auto;max-width:100%;max-height:100%;object-fit:contain;display:block}' +
  '.en-st iframe{width:min(100%,calc((100dvh - 200px)*16/9));aspect-ratio:16/9;border:0;background:#000}' +
  '.en button{min-width:44px;min-height:44px;padding:0 10px;border:1px solid #fff8;border-radius:6px;background:#14181bcc;color:#fff;font:inherit;font-size:20px;line-height:1;cursor:pointer}' +
  '.en button:hover{border-color:#fff}' +
  '.en :focus-visible{outline:2px solid #fff;outline-offset:2px}' +
  '.en-b,.en-f{position:absolute;top:50%;margin-top:-22px}' +
  '.en-b{left:0}' +
  '.en-f{right:0}' +
  '.en-t{max-width:70ch;max-height:24vh;overflow:auto;margin:0 auto;text-align:center;overflow-wrap:anywhere}' +
  '.en-t p{margin:0 0 4px;white-space:pre-line}' +
  '.en-t a{color:#fff}' +
  '.en-n{font-size:13.5px;opacity:.85}'
