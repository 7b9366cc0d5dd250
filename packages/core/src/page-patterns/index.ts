export { fixedBeginning, isPattern, matchesPattern, patternProblem, patternSource } from './pattern'
