// What the PDF library could use for pages and drawings of its own is not used, and not shipped.
export default {};
/** Of PNG pictures: photos come as JPEG. */
export const decode = (): never => {
  throw new Error('The packet holds no PNG pictures');
};
