/** How the line of whoever made a widget is set. */
export const creditLooks = ['plain', 'centred', 'ruled'] as const
export type CreditLook = (typeof creditLooks)[number]
