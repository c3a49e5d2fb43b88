// What the PDF library could use for pages and drawings of its own is not used, and not shipped.
export default {};
