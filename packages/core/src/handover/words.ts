// Names and blanks, without the pages and the parser that the rest needs.
export { fileFormIds, fileForms, type FileForm } from './file-forms'
export { sheetWords } from './sheet-words'
export {
  blanks,
  letter,
  mailKindIds,
  mailKinds,
  ownWording,
  wordingFaults,
  type Blank,
  type MailKind,
  type Wording,
} from './wording'
