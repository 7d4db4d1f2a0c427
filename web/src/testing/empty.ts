/** Stands for style sheets and fonts in tests. */
export default {};
