export { advise, boxesFor, OVER_PAGE, type Advice, type MethodAdvice, type Setting } from './advise'
export { drawnSizes, tallest, type DrawnSizes } from './drawn-size'
export { stepsFor, type Step, type StepContext } from './steps'
