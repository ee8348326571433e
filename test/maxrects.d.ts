/** The packer’s module build; its main file is of the older kind under a package.json that says otherwise. */
declare module 'maxrects-packer/dist/maxrects-packer.mjs' {
  export { MaxRectsPacker } from 'maxrects-packer';
}
