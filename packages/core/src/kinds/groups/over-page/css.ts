import { seeThrough } from '../../../look'
import { NARROWER } from '../../../presence'
import { OVER_MARK } from '../../../wire'
import type { LookSettings } from '../look'
import type { BackdropSettings, Motion, MotionSettings, Side, Stand } from './settings'

// Without its behaviour, on a page of its own for instance, it stands there as anything else does. Where it is over a page, the mark
// on its element says how it is.

/** A selector of something in it, in some states. */
export const over = (state: 'open' | 'closing' | 'shut' | '', inner: string) =>
  `:host([${OVER_MARK}${state && `=${state}`}]) ${inner}`

/** Windows of each size. */
const windows = {
  phone: `@media (max-width:${NARROWER.phone - 1}px)`,
  tablet: `@media (min-width:${NARROWER.phone}px) and (max-width:${NARROWER.tablet - 1}px)`,
  desktop: `@media (min-width:${NARROWER.tablet}px)`,
} as const

/** Where it stands in windows of each size. */
export const inWindows = <P extends string>(
  stands: Record<keyof typeof windows, Stand<P>>,
  css: (stand: Stand<P>) => string,
): string =>
  (Object.keys(windows) as (keyof typeof windows)[]).map((size) => `${windows[size]}{${css(stands[size])}}`).join('')

const away: Record<Side, string> = {
  top: 'translateY(-105%)',
  bottom: 'translateY(105%)',
  start: 'translateX(calc(-105% * var(--line)))',
  end: 'translateX(calc(105% * var(--line)))',
}

const hidden = (motion: Motion, side: Side): string =>
  ({ none: '', fade: 'opacity:0', slide: `opacity:0;transform:${away[side]}`, grow: 'opacity:0;transform:scale(.92)' })[
    motion
  ]

/** Coming and going. Who asked their system for less motion gets none (WCAG 2.2, 2.3.3). */
export function motionCss({ enter, enterFrom, exit, motionMs }: MotionSettings): string {
  const frames =
    `@keyframes pebblestrand-in{from{${hidden(enter, enterFrom)}}}@keyframes pebblestrand-out{to{${hidden(exit, enterFrom)}}}` +
    '@keyframes pebblestrand-dim{from{opacity:0}}@keyframes pebblestrand-clear{to{opacity:0}}'
  const runs = (name: string) => `animation:${name} ${motionMs}ms ease both`
  return (
    `${frames}.ov{--line:1}.ov:dir(rtl){--line:-1}@media not (prefers-reduced-motion:reduce){` +
    (enter === 'none'
      ? ''
      : `${over('open', '.w')}{${runs('pebblestrand-in')}}${over('open', '.ov::backdrop')}{${runs('pebblestrand-dim')}}`) +
    (exit === 'none'
      ? ''
      : `${over('closing', '.w')}{${runs('pebblestrand-out')}}${over('closing', '.ov::backdrop')}{${runs('pebblestrand-clear')}}`) +
    '}'
  )
}

export const backdropCss = ({ backdrop, backdropOpacity }: BackdropSettings): string =>
  `.ov::backdrop{background:${seeThrough(backdrop, backdropOpacity)}}` +
  // On the workbench's stage, where it takes no focus and so has no backdrop.
  `${over('', '.ov[open]:not(:modal)')}{background:${seeThrough(backdrop, backdropOpacity)}}`

/** Its ground: over other things it always has one, the site's own where nothing else is set. */
export const groundCss = ({ theme, background, text, radius }: LookSettings): string =>
  `.w{border-radius:${radius}px}` +
  (theme === 'own'
    ? `.w{${background ? '' : 'background:var(--site-background,#fff);'}${text ? '' : '--text:var(--site-text,#1d2b34);'}color:var(--text)}`
    : '')

/** Px of the button that closes it: 24 are the least (WCAG 2.2, 2.5.8), 44 are comfortable. */
export const CLOSE = 44

/** States, the button that closes it, and how it is reset where it stands over a page. */
export const shellCss =
  `:host{display:block;min-width:0;max-width:100%}${over('shut', '.ov').replace(' .ov', '')}{display:none}` +
  `.ov{display:block;box-sizing:border-box;position:relative;inset:auto;width:auto;height:auto;max-width:none;max-height:none;margin:0;padding:0;border:0;background:none;color:inherit;overflow:visible}` +
  `.w{position:relative;box-sizing:border-box;text-align:start}` +
  `.cx{display:none}[tabindex='-1']:focus{outline:none}` +
  `${over('', '.cx')}{display:grid;place-items:center;position:absolute;inset-block-start:0;inset-inline-end:0;z-index:1;width:${CLOSE}px;height:${CLOSE}px;margin:0;padding:0;border:0;border-radius:8px;background:none;color:inherit;font:26px/1 system-ui,sans-serif;cursor:pointer}`

/** A layer over the whole window, while it is open. */
export const layerCss =
  `${over('', '.ov')}{position:fixed;inset:0;width:100%;height:100%}` + `${over('', '.ov:not([open])')}{display:none}`

/** Px kept from the edges of a window, clear of a phone's own bars. */
export const edgesCss = (offset: number): string =>
  `padding:max(${offset}px,env(safe-area-inset-top)) ${offset}px max(${offset}px,env(safe-area-inset-bottom))`

/** Px that the content keeps from the edges, where nothing else is set. */
export const paddingCss = ({ padding }: Pick<LookSettings, 'padding'>, usual: string): string =>
  padding === 'auto' ? `.w{padding:${usual}}` : ''
