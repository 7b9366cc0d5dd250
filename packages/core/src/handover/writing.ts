// What writes a mail, with the words of every language: loaded by who words one.
export { sheetWords } from './sheet-words'
export { letter, ownWording } from './wording'
