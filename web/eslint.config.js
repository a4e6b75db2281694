import js from '@eslint/js';
import hooks from 'eslint-plugin-react-hooks';
import globals from 'globals';
import ts from 'typescript-eslint';

export default ts.config(
  { ignores: ['dist', 'src/api/schema.d.ts'] },
  js.configs.recommended,
  ...ts.configs.strict,
  hooks.configs.flat['recommended-latest'],
  { languageOptions: { globals: globals.browser } },
  // A test that finds nothing there fails by itself.
  { files: ['src/**/*.test.tsx'], rules: { '@typescript-eslint/no-non-null-assertion': 'off' } },
);
