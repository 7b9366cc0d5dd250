/** How far a lead is. */
export const leadStates = { new: 'new', done: 'done', spam: 'spam', held: 'held back' } as const
export type LeadState = keyof typeof leadStates

/** Why one was held back. */
export const heldReasons = {
  trap: 'A field that nobody sees was filled in.',
  fast: 'It was filled in faster than anybody reads.',
  often: 'Many came from one address within minutes.',
  attack: 'It came without a script while very many came at once.',
} as const
export type HeldFor = keyof typeof heldReasons
