/** Words for LIKE that mean themselves: % and _ are characters like any other. */
export const literally = (words: string) => words.replace(/[\\%_]/g, '\\$&')
