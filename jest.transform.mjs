/**
 * SWC, with the language's own globals made constants of each module. In Jest's sandbox every read of a global goes through a trap;
 * numerical code then spends most of its time there. They stand on the first line, so that stack traces keep their lines.
 */
import swcJest from '@swc/jest';

const globals = [
  'Math',
  'Number',
  'Array',
  'Object',
  'String',
  'Map',
  'Set',
  'JSON',
  'Infinity',
  'NaN',
  'Float64Array',
  'Float32Array',
  'Int32Array',
  'Uint8Array',
  'Uint16Array',
  'Uint32Array',
];

/** Named in the module, and not by the module itself. */
const isRead = (code, name) =>
  new RegExp(`\\b${name}\\b`).test(code) &&
  !new RegExp(`\\b(?:const|let|function|class|as)\\s+${name}\\b|import\\b[^;]*\\b${name}\\b[^;]*\\bfrom\\b`).test(code);

function withConstants(result) {
  const read = globals.filter((name) => isRead(result.code, name));
  return read.length === 0 ? result : { ...result, code: `const { ${read.join(', ')} } = globalThis;${result.code}` };
}

export default {
  createTransformer(options) {
    const inner = swcJest.createTransformer(options);
    return {
      ...inner,
      getCacheKey: (...args) => `${inner.getCacheKey(...args)}-constants`,
      process: (...args) => withConstants(inner.process(...args)),
      processAsync: async (...args) => withConstants(await inner.processAsync(...args)),
    };
  },
};
