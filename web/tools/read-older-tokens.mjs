// Reads files of design tokens in the older form together, with an outside reader, and prints what each comes to, for the tests.
import process from 'node:process';
import StyleDictionary from 'style-dictionary';

const dictionary = new StyleDictionary({
  source: process.argv.slice(2),
  log: { warnings: 'disabled', verbosity: 'silent', errors: { brokenReferences: 'throw' } },
  platforms: { plain: { transforms: [] } },
});
const { allTokens } = await dictionary.getPlatformTokens('plain');
console.log(JSON.stringify(Object.fromEntries(allTokens.map((token) => [token.path.join('.'), token.value]))));
