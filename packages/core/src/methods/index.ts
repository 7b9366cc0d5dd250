export { methods, methodIds, methodList, type MethodId } from './list'
export type { ElementReading, Method, PolicyNeeds, ScriptReading, SnippetRequest } from './method'
export { beforeIds, readElement, readRemnant, readScript } from './read-page'
