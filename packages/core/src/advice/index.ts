export { advise, boxFor, type Advice, type MethodAdvice } from './advise'
export { stepsFor, type Step, type StepContext } from './steps'
