import js from '@eslint/js'
import reactHooks from 'eslint-plugin-react-hooks'
import ts from 'typescript-eslint'

const COUNTED_DAYS = {
  selector: 'Literal[value=86400000]',
  message: 'Days are counted in core/calendar: addDays, countDays, DAY_MS.',
}
const UNHEARD = {
  selector: "UnaryExpression[operator='void'] > CallExpression[callee.property.name='then']",
  message: 'A command’s trigger never rejects: await it with .unwrap(), through useUndoable where it can be undone.',
}

const UNREAD = {
  selector: "CallExpression[callee.property.name='replace'][arguments.0.value=','][arguments.1.value='.']",
  message: 'What people type is read as a number in web/src/typed: readTyped, typedNumber.',
}

export default ts.config(
  { ignores: ['**/dist/**', '**/node_modules/**', 'data/**', 'server/drizzle/**', '**/test-results/**'] },
  js.configs.recommended,
  ...ts.configs.recommended,
  {
    rules: {
      eqeqeq: ['error', 'always', { null: 'ignore' }],
      'no-console': 'error',
      'prefer-const': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
    },
  },
  {
    files: ['**/*.{mjs,js,cjs}'],
    languageOptions: {
      globals: {
        process: 'readonly',
        console: 'readonly',
        URL: 'readonly',
        setTimeout: 'readonly',
        clearTimeout: 'readonly',
        setInterval: 'readonly',
        clearInterval: 'readonly',
        fetch: 'readonly',
        Buffer: 'readonly',
        AbortSignal: 'readonly',
        performance: 'readonly',
        module: 'writable',
      },
    },
  },
  { files: ['scripts/**', '*/scripts/**', 'cli/**', 'server/src/main.ts'], rules: { 'no-console': 'off' } },
  {
    files: ['core/src/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-globals': ['error', 'Date', 'console', 'process', 'fetch', 'setTimeout', 'performance'],
      'no-restricted-properties': ['error', { object: 'Math', property: 'random' }],
    },
  },
  {
    files: ['**/*.{ts,tsx}'],
    ignores: ['core/src/calendar/days.ts', 'simulator/**'],
    rules: {
      'no-restricted-syntax': ['error', COUNTED_DAYS],
    },
  },
  // A command's answer says whether it was carried out: `.then` after it takes a failure for a success.
  {
    files: ['web/src/**/*.{ts,tsx}'],
    ignores: ['**/*.test.ts', 'web/src/typed/**'],
    rules: { 'no-restricted-syntax': ['error', COUNTED_DAYS, UNHEARD, UNREAD] },
  },
  // The calendar arithmetic of core reads no clock.
  { files: ['core/src/calendar/*.ts'], rules: { 'no-restricted-globals': 'off' } },
  { files: ['web/src/**/*.{ts,tsx}'], ignores: ['**/*.test.*'], ...reactHooks.configs.flat.recommended },
)
