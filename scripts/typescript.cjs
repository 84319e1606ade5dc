const { transformSync } = require('@swc/core');
const { readFileSync } = require('node:fs');

/** Lets plain Node load the TypeScript of the core: `node -r ./scripts/typescript.cjs file.ts`. */
require.extensions['.ts'] = (module, filename) => {
  const { code } = transformSync(readFileSync(filename, 'utf8'), {
    filename,
    module: { type: 'commonjs' },
    jsc: { target: 'es2022', parser: { syntax: 'typescript' } },
  });
  module._compile(code, filename);
};
