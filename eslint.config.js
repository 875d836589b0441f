import js from '@eslint/js'
import prettier from 'eslint-config-prettier'
import vue from 'eslint-plugin-vue'
import globals from 'globals'
import ts from 'typescript-eslint'

export default ts.config(
  {
    ignores: [
      '**/node_modules',
      '**/bin',
      '**/obj',
      '.hepno',
      'src/Hepno.Web/wwwroot',
      'src/hepno-ui/src/api/schema.d.ts',
      'tests/e2e/test-results',
      'tests/e2e/playwright-report',
    ],
  },
  js.configs.recommended,
  ...ts.configs.recommended,
  ...vue.configs['flat/recommended'],
  { languageOptions: { globals: { ...globals.browser, ...globals.node } } },
  { files: ['**/*.vue'], languageOptions: { parserOptions: { parser: ts.parser } } },
  { files: ['**/*.{ts,vue}'], rules: { 'no-undef': 'off', 'vue/multi-word-component-names': 'off' } },
  { files: ['src/hepno-ui/src/**'], rules: { 'no-nested-ternary': 'error' } },
  { rules: { '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }] } },
  prettier,
)
