import { autoUpdate, flip, offset, shift, useFloating } from '@floating-ui/vue'
import type { Ref } from 'vue'

/** How a value in the brief looks: bold, with a line under it; turned round while its control is open. */
export const face =
  'cursor-pointer rounded-[1px] border-b border-kelp font-bold aria-disabled:cursor-default aria-disabled:border-soft'
export const faceWhen = (open: boolean) => (open ? 'bg-ink text-paper' : 'hover:bg-sand')

export const panelFace =
  'z-30 w-max max-w-[300px] min-w-[230px] border border-ink bg-sheet px-[14px] py-3 text-[14px] leading-normal'

/** Places a control's panel below its value, or above where there is no room. */
export const usePlacing = (anchor: Ref<HTMLElement | null>, panel: Ref<HTMLElement | null>) =>
  useFloating(anchor, panel, {
    placement: 'bottom-start',
    whileElementsMounted: autoUpdate,
    middleware: [offset(6), flip(), shift({ padding: 12 })],
  }).floatingStyles
