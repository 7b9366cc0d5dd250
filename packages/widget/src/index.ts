export { show } from './show'
export type { Behaviour, BehaviourContext } from './behaviour'
