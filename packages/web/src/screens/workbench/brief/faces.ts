/** How a value in the brief looks: bold, with a line under it; turned round while its control is open. */
export const face =
  'cursor-pointer rounded-[1px] border-b border-kelp font-bold aria-disabled:cursor-default aria-disabled:border-soft'
export const faceWhen = (open: boolean) => (open ? 'bg-ink text-paper' : 'hover:bg-sand')
