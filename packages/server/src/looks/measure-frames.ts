import type { WidgetSight } from '@pebblestrand/core/verify'
import { MARK, OPENS_MARK, OVER_MARK, pathTo } from '@pebblestrand/core/wire'
import type { Frame, Page } from 'playwright-core'
import { allReady, holdsOurs, measure, measureFrame } from './in-page'

/** Frames of a page's own that are looked into: editors put pasted code in one, advertisements in many. */
const MOST_FRAMES = 12
/** Frames within frames. */
const DEEPEST = 3
/** Of a widget, how much is in sight where it counts as shown. */
const LEAST_SHOWN = 0.4

const FRAME_PATHS = [pathTo('frame', ''), pathTo('link', '')]
const PICTURE_PATHS = (['still', 'stillTwice', 'stillDrawing'] as const).map((path) =>
  pathTo(path, '').replace(/\.\w+$/, ''),
)

type Measured = ReturnType<typeof measure>
type Held = NonNullable<Measured['held'][number]>

/** Waits until all that is ours has its content, in the page and in its frames. @param ms at most */
export async function framesReady(page: Page, ms: number): Promise<void> {
  const frames = [page.mainFrame(), ...(await holdersIn(page.mainFrame()))]
  await Promise.all(
    frames.map((frame) => frame.waitForFunction(allReady, MARK, { timeout: ms, polling: 100 }).catch(() => {})),
  )
}

/** What of ours a page shows and how it lies, in frames of the page as well; px of the page. */
export async function measureFrames(
  frame: Frame,
  origin: string,
  depth = 0,
): Promise<Omit<Measured, 'held' | 'widgets'> & { widgets: WidgetSight[] }> {
  const inner = depth < DEEPEST ? await holdersIn(frame) : []
  const holders = await Promise.all(inner.map((one) => one.frameElement().catch(() => null)))
  const { widgets, held, ...rest } = await frame.evaluate(measure as (about: object) => Measured, {
    mark: MARK,
    opensMark: OPENS_MARK,
    overMark: OVER_MARK,
    framePaths: FRAME_PATHS,
    picturePaths: PICTURE_PATHS,
    origin,
    holders,
  })
  const all: WidgetSight[] = []
  for (const { address, ...widget } of widgets) all.push(await withItsFrame(frame, address, widget))
  for (const [i, holder] of held.entries()) {
    const seen = holder && (await measureFrames(inner[i]!, origin, depth + 1).catch(() => null))
    if (!seen) continue
    all.push(...seen.widgets.map((widget) => heldBy(holder, widget)))
    rest.violations.push(...seen.violations)
  }
  return { ...rest, widgets: all }
}

/** Child frames in which something of ours may stand; those that are ours are measured as what they are. */
async function holdersIn(frame: Frame): Promise<Frame[]> {
  const foreign = frame.childFrames().filter((one) => !FRAME_PATHS.some((path) => pathOf(one.url()).startsWith(path)))
  const found: Frame[] = []
  for (const one of foreign) {
    if (found.length === MOST_FRAMES) break
    if (await one.evaluate(holdsOurs, [MARK, OPENS_MARK, PICTURE_PATHS] as const).catch(() => false)) found.push(one)
  }
  return found
}

const pathOf = (url: string) => (URL.canParse(url) ? new URL(url).pathname : '')

/** A frame of ours with what it shows. */
async function withItsFrame(page: Frame, address: string | null, widget: WidgetSight): Promise<WidgetSight> {
  const frame = address ? page.childFrames().find((one) => one.url() === address) : null
  const inner = frame ? await frame.evaluate(measureFrame).catch(() => null) : null
  if (!inner) return widget
  return {
    ...widget,
    ...inner,
    release: Number.isFinite(inner.release) ? inner.release : null,
    overflows: widget.overflows || inner.overflows,
  }
}

/** A widget in a frame of the page, as it lies on the page: no more of it is seen than the frame shows. */
function heldBy(holder: Held, widget: WidgetSight): WidgetSight {
  const { box } = widget
  const shown =
    Math.max(0, Math.min(box.x + box.width, holder.width) - Math.max(0, box.x)) *
    Math.max(0, Math.min(box.y + box.height, holder.height) - Math.max(0, box.y))
  const isCut = widget.unseen === null && shown < box.width * box.height * LEAST_SHOWN
  const bottom = box.y + box.height
  const moved = <B extends { x: number; y: number }>(one: B): B => ({
    ...one,
    x: one.x + holder.x,
    y: one.y + holder.y,
  })
  return {
    ...widget,
    box: moved(box),
    unseen: holder.unseen ?? (isCut ? 'clipped' : widget.unseen),
    coveredBy: holder.unseen ? holder.coveredBy : widget.coveredBy,
    beside: holder.beside,
    room: holder.room,
    around: [...(widget.around ?? []).map(moved), ...holder.around].slice(0, 16),
    ...(bottom > holder.height ? { framed: { height: holder.height, needs: bottom } } : {}),
  }
}
