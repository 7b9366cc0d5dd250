import { inNamespace } from './namespace'

/** A name whose address changes between two questions, told by a resolver of our own. */
export default () => inNamespace('rebinding-inside.ts', ['--mount', '--net'], 'DNS rebinding')
