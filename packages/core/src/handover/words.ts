// Names and blanks, without the languages and pages that the rest needs.
export { fileFormIds, fileForms, type FileForm } from './file-forms'
export { blanks, mailKindIds, mailKinds, wordingFaults, type Blank, type MailKind, type Wording } from './wording'
