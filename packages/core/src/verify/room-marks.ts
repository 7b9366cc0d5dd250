/** The element a widget is shown in, in a page made by `pageWithRoom`. */
export const ROOM_ID = 'pebblestrand-room'

/**
 * What an element of such a page is to whoever looks for the room's place in it by what is drawn: `here`, a part of the
 * placement; `content`, the page's main part, and `elsewhere`, another region's, where these are not the placement's own;
 * `ours`, a widget that stands there. The room says `settled` where its place is known.
 */
export const ROOM_MARK = 'data-pebblestrand-room'
export type RoomMark = 'here' | 'content' | 'elsewhere' | 'ours' | 'settled'
