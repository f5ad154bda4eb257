// @ts-check
import withNuxt from './.nuxt/eslint.config.mjs'

/** Core knows no clock, no chance and no throw. */
const PURE = [
  { object: 'Date', property: 'now', message: 'core has no clock: take today as an argument.' },
  { object: 'Math', property: 'random', message: 'core has no chance: take the draw as an argument.' },
  { object: 'performance', property: 'now', message: 'core has no clock.' },
]

/** What code looks like is Prettier's business; it breaks no strings and no comments: their length is ours */
const LOOKS = Object.fromEntries(
  [
    'first-attribute-linebreak',
    'html-closing-bracket-newline',
    'html-indent',
    'html-self-closing',
    'attributes-order',
    'max-attributes-per-line',
    'multiline-html-element-content-newline',
    'singleline-html-element-content-newline',
  ].map((rule) => [`vue/${rule}`, 'off']),
)

/** What the component library has is never made by hand; the trade's own drawings and print sheets are. */
const HAND_MADE = ['input', 'select', 'textarea', 'button', 'table', 'datalist', 'dialog']
const OWN_DRAWINGS = [
  'app/components/job/load/LoadTable.vue',
  'app/components/job/load/LoadSheet.vue',
  'app/components/lanes/LaneSheet.vue',
]
const LIBRARY = 'the component library has it: a field of components/field, UButton, ULink or RowTable.'

/** What the compiler knows of types: no promise is left to itself, no case of a closed list forgotten. */
const BY_TYPES = {
  languageOptions: {
    parserOptions: { project: './tsconfig.lint.json', tsconfigRootDir: import.meta.dirname },
  },
  rules: {
    '@typescript-eslint/no-floating-promises': 'error',
    '@typescript-eslint/switch-exhaustiveness-check': [
      'error',
      { considerDefaultExhaustiveForUnions: true, requireDefaultForNonUnion: false },
    ],
  },
}

export default withNuxt(
  { ignores: ['.output/**', '.nuxt/**', '.data/**', '.cache/**', 'docs/**'] },
  {
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      'no-console': ['error', { allow: ['info', 'error'] }],
      'max-len': ['error', { code: 110, ignoreUrls: true }],
      ...LOOKS,
      'vue/multi-word-component-names': 'off',
      'vue/require-default-prop': 'off',
    },
  },
  { files: ['{core,shared,server,demo,app,test,bench}/**/*.ts', 'scripts/*.ts'], ...BY_TYPES },
  {
    files: ['app/**/*.vue', 'app/**/*.ts'],
    ignores: OWN_DRAWINGS,
    rules: {
      'vue/no-restricted-html-elements': [
        'error',
        ...HAND_MADE.map((element) => ({ element, message: LIBRARY })),
      ],
      'vue/no-restricted-static-attribute': [
        'error',
        ...['button', 'checkbox', 'radio', 'listbox', 'combobox', 'table'].map((value) => ({
          key: 'role',
          value,
          message: LIBRARY,
        })),
        ...HAND_MADE.map((value) => ({ key: 'is', value, element: 'component', message: LIBRARY })),
      ],
      'no-restricted-syntax': [
        'error',
        {
          selector:
            'CallExpression[callee.name=/^(h|createElement)$/]' +
            `[arguments.0.value=/^(${HAND_MADE.join('|')})$/]`,
          message: LIBRARY,
        },
      ],
    },
  },
  {
    files: ['core/**/*.ts'],
    ignores: ['core/**/*.test.ts'],
    rules: {
      'no-restricted-properties': ['error', ...PURE],
      'no-restricted-syntax': [
        'error',
        {
          selector: 'ThrowStatement',
          message: 'core never throws for what a user can cause: return an error.',
        },
        {
          selector: 'NewExpression[callee.name="Date"][arguments.length=0]',
          message: 'core has no clock: take today as an argument.',
        },
      ],
    },
  },
)
