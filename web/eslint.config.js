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
  {
    files: ['src/**/*.{ts,vue}'],
    // the walk's query asks this device first
    ignores: ['src/shared/api/**', 'src/round/useWalk.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: "Property[key.name='queryFn']",
          message: 'What the server is asked, and under which key, stands in shared/api, once for all pages.',
        },
      ],
    },
  },
  prettier,
)
