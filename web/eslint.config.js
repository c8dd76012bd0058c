import prettier from 'eslint-config-prettier'
import vue from 'eslint-plugin-vue'
import tseslint from 'typescript-eslint'
import parser from 'vue-eslint-parser'

export default tseslint.config(
  { ignores: ['src/shared/api/schema.d.ts'] },
  ...tseslint.configs.recommended,
  ...vue.configs['flat/recommended'],
  {
    files: ['**/*.vue'],
    languageOptions: { parser, parserOptions: { parser: tseslint.parser, sourceType: 'module' } },
    // screens are one word, like their places in the navigation
    rules: { 'vue/multi-word-component-names': 'off' },
  },
  prettier,
)
