/** What opens a widget. */
export const openerLooks = {
  link: 'a link',
  button: 'a button',
  picture: 'a picture',
  attribute: 'something that is there already',
} as const
export type OpenerLook = keyof typeof openerLooks
