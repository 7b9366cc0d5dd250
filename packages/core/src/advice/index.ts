export { advise, boxesFor, OVER_PAGE, type Advice, type MethodAdvice, type Setting } from './advise'
export { stepsFor, type Step, type StepContext } from './steps'
