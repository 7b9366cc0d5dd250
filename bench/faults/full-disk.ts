import { inNamespace } from './namespace'

/** Database and data folder on a disk that fills up. */
export default () => inNamespace('full-disk-inside.ts', ['--mount'], 'a full disk')
