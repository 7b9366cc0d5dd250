export { sift, type Sieved, type SieveStep } from './sift'
export { ruleKinds, type Rule, type RuleKind } from './rules'
export { inOrder, type Order } from './order'
export { mentionsAny } from './keywords'
