import js from '@eslint/js'
import prettier from 'eslint-config-prettier'
import vue from 'eslint-plugin-vue'
import globals from 'globals'
import ts from 'typescript-eslint'

export default ts.config(
  {
    ignores: ['**/dist/**', '**/node_modules/**', '.cache/**', 'test-results/**', '.dependency-cruiser.cjs'],
  },
  js.configs.recommended,
  ...ts.configs.recommended,
  ...vue.configs['flat/recommended'],
  prettier,
  {
    files: ['**/*.{ts,mts,vue}'],
    languageOptions: {
      parserOptions: { parser: ts.parser },
      globals: { ...globals.browser, ...globals.node },
    },
    rules: {
      'no-undef': 'off',
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_', destructuredArrayIgnorePattern: '^_' },
      ],
      '@typescript-eslint/consistent-type-imports': 'error',
      'max-lines': ['error', { max: 260, skipBlankLines: true, skipComments: true }],
      'vue/require-default-prop': 'off',
    },
  },
  {
    // Every control is the toolkit's; those that stand inside sentences are ours, and live in one folder.
    files: ['web/src/**/*.vue'],
    ignores: ['web/src/sentence/**'],
    rules: {
      'vue/no-restricted-html-elements': [
        'error',
        ...[
          'button',
          'input',
          'select',
          'textarea',
          'table',
          'details',
          'dialog',
          'progress',
          'meter',
          'form',
        ].map((element) => ({
          element,
          message: 'The toolkit has this part; inside a sentence take one of web/src/sentence.',
        })),
      ],
    },
  },
  { files: ['**/*.mjs'], languageOptions: { globals: globals.node } },
  {
    files: ['core/src/**/*.ts'],
    rules: {
      // What has to be longer says why.
      'max-lines-per-function': ['error', { max: 90, skipBlankLines: true, skipComments: true }],
      'no-restricted-globals': ['error', 'window', 'document', 'Date', 'fetch', 'process'],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'The core is the same everywhere: take a seed.' },
      ],
    },
  },
)
