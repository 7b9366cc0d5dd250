export { filled, stretchesOf } from './filled'
export { paragraphsLetter, type Letter, type Stretch } from './letter'
