/** Parts of css-tree by themselves: its whole brings tables of all properties, which are not needed to read styles. */
declare module 'css-tree/parser' {
  export { parse as default } from 'css-tree'
}
declare module 'css-tree/walker' {
  export { walk as default } from 'css-tree'
}
declare module 'css-tree/generator' {
  export { generate as default } from 'css-tree'
}
