// The parts of css-tree that read and walk a sheet; its whole would bring the dictionary of all CSS along.
declare module 'css-tree/parser' {
  import { parse } from 'css-tree'
  export default parse
}
declare module 'css-tree/walker' {
  import { walk } from 'css-tree'
  export default walk
}
declare module 'css-tree/generator' {
  import { generate } from 'css-tree'
  export default generate
}
