import js from '@eslint/js'
import ts from 'typescript-eslint'
import vue from 'eslint-plugin-vue'
import prettier from 'eslint-config-prettier'
import globals from 'globals'
import regexp from 'eslint-plugin-regexp'
import { direction } from './eslint.direction.js'
import { subjectOrder } from './eslint.subjects.js'

export default ts.config(
  { ignores: ['**/dist/**', '**/node_modules/**', '.pebblestrand*/**', '**/fixtures/**'] },
  js.configs.recommended,
  ...ts.configs.recommended,
  ...vue.configs['flat/recommended'],
  {
    languageOptions: { globals: { ...globals.node, ...globals.browser } },
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/consistent-type-imports': 'error',
      eqeqeq: ['error', 'always', { null: 'ignore' }],
      'no-console': 'error',
    },
  },
  {
    // Text from outside goes through these: an expression must not take the square of its length.
    files: ['packages/{core,contract,server,widget,web}/src/**/*.{ts,vue}'],
    ignores: ['**/*.test.ts'],
    plugins: { regexp },
    rules: {
      'regexp/no-super-linear-backtracking': ['error', { report: 'potential' }],
      'regexp/no-super-linear-move': ['error', { report: 'potential' }],
    },
  },
  { files: ['**/*.vue'], languageOptions: { parserOptions: { parser: ts.parser } } },
  { files: ['packages/web/**'], rules: { 'vue/multi-word-component-names': 'off', 'vue/no-v-html': 'error' } },
  { files: ['bin/**', 'bench/**', 'e2e/**', '**/cli/**'], rules: { 'no-console': 'off' } },
  ...direction,
  ...subjectOrder,
  prettier,
)
