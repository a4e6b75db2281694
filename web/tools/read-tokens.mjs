// Reads a design tokens file with two outside readers, and SCSS with Sass, and prints what they made of it, for the tests.
import { readFileSync } from 'node:fs';
import process from 'node:process';
import { pathToFileURL } from 'node:url';
import { defineConfig, parse } from '@terrazzo/parser';
import * as sass from 'sass';
import StyleDictionary from 'style-dictionary';

const [tokensFile, scssFile] = process.argv.slice(2);
const source = readFileSync(tokensFile, 'utf8');

const warnings = [];
const log = { warnings: 'error', verbosity: 'verbose', errors: { brokenReferences: 'throw' } };
const dictionary = new StyleDictionary({
  tokens: JSON.parse(source),
  usesDtcg: true,
  log,
  platforms: { css: { transformGroup: 'css' } },
});
const platform = await dictionary.getPlatformTokens('css');
const styleDictionary = {};
for (const token of platform.allTokens) styleDictionary[token.path.join('.')] = token.$value ?? token.value;

const config = defineConfig({}, { cwd: new URL('file:///') });
const { tokens } = await parse([{ filename: pathToFileURL(tokensFile), src: source }], { config });
const terrazzo = {};
for (const [id, token] of Object.entries(tokens)) terrazzo[id] = { type: token.$type, value: token.$value };

let compiled = '';
if (scssFile) {
  const scss = readFileSync(scssFile, 'utf8');
  const names = [...scss.matchAll(/^\$([\w-]+):/gm)].map((found) => found[1]);
  compiled = sass.compileString(`${scss}\n.all{${names.map((name) => `--${name}:#{$${name}};`).join('\n')}}`).css;
}
console.log(JSON.stringify({ styleDictionary, terrazzo, compiled, warnings }));
