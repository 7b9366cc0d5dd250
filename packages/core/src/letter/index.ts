export { filled } from './filled'
export { paragraphsLetter, type Letter } from './letter'
