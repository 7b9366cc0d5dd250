import js from '@eslint/js'
import ts from 'typescript-eslint'
import vue from 'eslint-plugin-vue'
import prettier from 'eslint-config-prettier'
import globals from 'globals'
import { direction } from './eslint.direction.js'

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
  { files: ['**/*.vue'], languageOptions: { parserOptions: { parser: ts.parser } } },
  { files: ['packages/web/**'], rules: { 'vue/multi-word-component-names': 'off', 'vue/no-v-html': 'error' } },
  { files: ['bin/**', 'bench/**', 'e2e/**', '**/cli/**'], rules: { 'no-console': 'off' } },
  ...direction,
  prettier,
)
