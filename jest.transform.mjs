/**
 * SWC, with `Math` made a constant of each module. In Jest's sandbox every read of a global goes through a trap; numerical code then
 * spends half its time there. It stands on the first line, so that stack traces keep their lines.
 */
import swcJest from '@swc/jest';

export default {
  createTransformer(options) {
    const inner = swcJest.createTransformer(options);
    const withMath = (result) =>
      /\bMath\b/.test(result.code) ? { ...result, code: `const { Math } = globalThis;${result.code}` } : result;
    return {
      ...inner,
      getCacheKey: (...args) => `${inner.getCacheKey(...args)}-math`,
      process: (...args) => withMath(inner.process(...args)),
      processAsync: async (...args) => withMath(await inner.processAsync(...args)),
    };
  },
};
