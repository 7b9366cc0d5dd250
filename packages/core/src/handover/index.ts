export { fewestSteps, type ToPaste } from './order'
export { isFinished, outcomeOf, type Outcome } from './outcome'
export { keptPage, type KeptThing } from './kept-page'
export { planDrawing, type DrawnPlacement } from './plan-drawing'
export { asked, placeSaid, speaker, type Purpose, type Sheet, type SheetItem } from './sheet'
export { fileFormIds, fileForms, type FileForm } from './file-forms'
export { sheetFile } from './sheet-file'
export { page, SHEET_SCRIPT } from './sheet-frame'
export { sheetPage, shutPage } from './sheet-page'
export { filled, type Letter } from '../letter'
export { sheetWords, type SheetWordId, type SheetWords } from './sheet-words'
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
export { afterWorkingDays, isReminderDue, isWorkingDay } from './working-days'
