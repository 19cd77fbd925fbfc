// Cuts the fonts of the school's side down to what its pages mostly say; all other characters come from the whole fonts.
// Run by hand after `npm install --no-save subset-font`, when a font has a new version: node resources/fonts/make.mjs
import { readFileSync, writeFileSync } from 'node:fs';

import subsetFont from 'subset-font';

const ASCII = Array.from({ length: 0x7e - 0x20 + 1 }, (_, index) => String.fromCharCode(0x20 + index)).join('');
const MORE = '\u00a0§«·»ÄÅÆÉÖØÜàäåæèéêòóôöøü–—‘’“”…€×↑→↓−';

for (const [from, to] of [
  ['source-sans-3/files/source-sans-3-latin-wght-normal', 'sans'],
  ['source-serif-4/files/source-serif-4-latin-wght-normal', 'serif'],
]) {
  const font = await subsetFont(readFileSync(`node_modules/@fontsource-variable/${from}.woff2`), ASCII + MORE, { targetFormat: 'woff2', variationAxes: { wght: { min: 400, max: 600 } } });
  writeFileSync(`resources/fonts/${to}.woff2`, font);
  console.log(`${to}.woff2: ${font.length} bytes`);
}
