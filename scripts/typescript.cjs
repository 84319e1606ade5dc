const { readFileSync } = require('node:fs');
const { ModuleKind, ScriptTarget, transpileModule } = require('typescript');

/** Lets plain Node load the TypeScript of the core: `node -r ./scripts/typescript.cjs file.ts`. */
require.extensions['.ts'] = (module, filename) => {
  const compilerOptions = {
    module: ModuleKind.CommonJS,
    target: ScriptTarget.ES2022,
    esModuleInterop: true,
    experimentalDecorators: true,
    emitDecoratorMetadata: true,
  };
  module._compile(transpileModule(readFileSync(filename, 'utf8'), { fileName: filename, compilerOptions }).outputText, filename);
};
