export { allows, type Request } from './match-source'
export { directiveFor, readPolicies, type Policy } from './read-policy'
