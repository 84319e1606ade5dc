require('../typescript.cjs');
const { inLanguage, languageNow, sourcesOfInterface } = require('./Language.ts');

const sources = new Set(sourcesOfInterface());

/** Hands the build each file of the interface in the language that is asked for. */
module.exports = function loader(source) {
  const { texts } = languageNow();
  return sources.has(this.resourcePath) ? inLanguage(source, this.resourcePath, (text) => texts[text] || undefined) : source;
};
