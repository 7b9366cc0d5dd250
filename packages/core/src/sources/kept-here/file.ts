// Reading reviews from a file: a face of its own, since the reader of CSV weighs more than the screens need.
export { guessReading, type Reading } from './guess-columns'
export { merge, type Merged } from './merge'
export { readRows, type CellFault, type ReadRow } from './read-rows'
export { readTable, TableError, type Table } from './read-table'
export { reviewFieldIds, reviewFields, type Columns, type ReviewField } from './fields'
