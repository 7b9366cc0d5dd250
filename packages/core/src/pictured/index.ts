export { drawPicture, type Picture, type PictureColours } from './draw'
export { picturedAsText, row, type Pictured, type PicturedRow } from './pictured'
export { linesOf, textWidth } from './text-width'
