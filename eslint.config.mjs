// @ts-check
import withNuxt from './.nuxt/eslint.config.mjs'

/** Core knows no clock, no chance and no throw. */
const PURE = [
  { object: 'Date', property: 'now', message: 'core has no clock: take today as an argument.' },
  { object: 'Math', property: 'random', message: 'core has no chance: take the draw as an argument.' },
  { object: 'performance', property: 'now', message: 'core has no clock.' },
]

export default withNuxt(
  { ignores: ['.output/**', '.nuxt/**', '.data/**', 'docs/**'] },
  {
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      'no-console': ['error', { allow: ['info', 'error'] }],
      '@stylistic/member-delimiter-style': 'off',
      '@stylistic/max-statements-per-line': 'off',
      '@stylistic/quote-props': 'off',
      'vue/max-attributes-per-line': 'off',
      'vue/first-attribute-linebreak': 'off',
      'vue/html-closing-bracket-newline': 'off',
      'vue/singleline-html-element-content-newline': 'off',
      'vue/multiline-html-element-content-newline': 'off',
      'vue/multi-word-component-names': 'off',
      'vue/html-self-closing': 'off',
      'vue/attributes-order': 'off',
      'vue/require-default-prop': 'off',
    },
  },
  {
    files: ['core/**/*.ts'],
    ignores: ['core/**/*.test.ts'],
    rules: {
      'no-restricted-properties': ['error', ...PURE],
      'no-restricted-syntax': ['error',
        { selector: 'ThrowStatement', message: 'core never throws for what a user can cause: return an error.' },
        { selector: 'NewExpression[callee.name="Date"][arguments.length=0]', message: 'core has no clock: take today as an argument.' }],
    },
  },
)
