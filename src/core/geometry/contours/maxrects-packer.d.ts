/** The library's build for modules, which its package does not name as such for every reader. */
declare module "maxrects-packer/dist/maxrects-packer.mjs" {
  export { MaxRectsPacker, Rectangle } from "maxrects-packer/dist/index";
}
