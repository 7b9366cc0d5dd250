export { completeAddress, completeWebAddress, LEADS_NOWHERE } from './complete'
