export { allows, type Request } from './match-source'
export { directiveFor, readPolicies, type Policy } from './read-policy'
export { additions, directiveSaid, isEssential, refusals, type Refusal } from './refusals'
export { sitePolicyOf, type SitePolicy } from './site-policy'
