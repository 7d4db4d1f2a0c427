import js from '@eslint/js';
import { defineConfig } from 'eslint/config';
import reactHooks from 'eslint-plugin-react-hooks';
import globals from 'globals';
import tseslint from 'typescript-eslint';

/**
 * A text that a person reads comes from a catalogue: `t('…')` or `message('…')`. Refused are words among elements, in the
 * properties that are shown or spoken, and in the fields of answers that hold sentences. A code is one word in small letters.
 */
const readable = '/^(?!Fox$|Tempo$|Fox Tempo$)[A-Z][a-z]{2}|[a-z]{3,} [a-z]{2}|[A-Z][a-z]+ [a-z]/';
const said = 'A text that a person reads comes from a catalogue: give it a key in words/en.json.';
const shown =
  '/^(title|aria-label|label|placeholder|alt|word|hint|heading|text|detail|aside|empty|says|why|names|right)$/';
const sentence = '/^(label|title|message|hint|text|placeholder|word|words|detail|why|problem|summary|heading)$/';
const inside = [
  '',
  ' > JSXExpressionContainer',
  ' > JSXExpressionContainer > ConditionalExpression',
  ' > JSXExpressionContainer > ArrayExpression',
];
const refusedTexts = [
  'JSXText[value=/[a-z]{3}/]',
  ...inside.flatMap((path) => [
    `JSXElement${path} > Literal[value=${readable}]`,
    `JSXElement${path} > TemplateLiteral > TemplateElement[value.raw=${readable}]`,
    `JSXAttribute[name.name=${shown}]${path} > Literal[value=${readable}]`,
    `JSXAttribute[name.name=${shown}]${path} > TemplateLiteral > TemplateElement[value.raw=${readable}]`,
  ]),
  `Property[key.name=${sentence}] > Literal[value=${readable}]`,
  `Property[key.name=${sentence}] > TemplateLiteral > TemplateElement[value.raw=${readable}]`,
].map((selector) => ({ selector, message: said }));

/** The type scale has eight sizes, named in the theme. Drawings (small tags) measure their letters in their own units. */
const literalSizes = {
  selector: 'JSXOpeningElement[name.name=/^[A-Z]/] > JSXAttribute[name.name="fontSize"] Literal[value=/^[0-9.]+px$/]',
  message: 'Name a size of the type scale in web/src/ui/theme/system.ts.',
};

/** Rules that need no types. Those that do are oxlint's (`.oxlintrc.json`), which reads the project in a fifth of the time. */
export default defineConfig(
  {
    ignores: [
      'node_modules/',
      '.cache/',
      'web/dist/',
      'data/',
      'server/drizzle/',
      'test-results/',
      'playwright-report/',
    ],
  },
  js.configs.recommended,
  {
    files: ['**/*.ts', '**/*.tsx'],
    extends: [tseslint.configs.strict],
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
    },
  },
  {
    files: ['web/**/*.tsx', 'web/**/*.ts'],
    plugins: { 'react-hooks': reactHooks },
    rules: reactHooks.configs.recommended.rules,
  },
  {
    files: ['core/**/*.ts', 'contract/**/*.ts', 'server/**/*.ts', 'cli/**/*.ts', 'web/src/**/*.ts', 'web/src/**/*.tsx'],
    // Data of the demo shop, and what stands on machines until somebody describes them, is not said by the application.
    ignores: [
      '**/*.test.ts',
      '**/*.test.tsx',
      'core/scenarios/**',
      'core/machine/description/usual-*.ts',
      'web/src/testing/**',
      'server/db/**',
      'server/testing/**',
    ],
    rules: { 'no-restricted-syntax': ['error', ...refusedTexts, literalSizes] },
  },
  {
    files: ['**/*.test.ts', '**/*.test.tsx', 'e2e/**/*.ts'],
    rules: {
      '@typescript-eslint/no-non-null-assertion': 'off',
      // Playwright reads the names of a fixture's needs from the pattern; needing none is an empty one.
      'no-empty-pattern': ['error', { allowObjectPatternsAsParameters: true }],
    },
  },
  {
    // Typed arrays are read within their length, ten million times a second.
    files: ['core/weld/simulation/engine.ts', 'core/weld/simulation/model.ts'],
    rules: { '@typescript-eslint/no-non-null-assertion': 'off' },
  },
  { files: ['**/*.mjs', '**/*.cjs'], languageOptions: { globals: { ...globals.node } } },
  { files: ['web/public/**', 'scripts/screenshots.mjs'], languageOptions: { globals: { ...globals.browser } } },
);
