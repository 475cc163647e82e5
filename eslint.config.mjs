import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  { ignores: ['node_modules', 'dist', '.cache', '.expo', '.demo-data', 'test-results', 'playwright-report'] },
  {
    files: ['**/*.ts', '**/*.tsx'],
    extends: [tseslint.configs.strict],
    languageOptions: { parserOptions: { project: './tsconfig.json' } },
    rules: {
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: false }],
      '@typescript-eslint/switch-exhaustiveness-check': ['error', { considerDefaultExhaustiveForUnions: true }],
      // A field is left out of a record by naming it beside the rest.
      '@typescript-eslint/no-unused-vars': ['error', { ignoreRestSiblings: true }],
      eqeqeq: 'error',
      'no-console': 'error',
    },
  },
  // React's rules compile every file that they look at: only where there is React.
  {
    files: ['app/**/*.tsx', 'src/ui/**/*.{ts,tsx}', 'src/words/**/*.ts', 'src/client/**/*.ts'],
    plugins: { 'react-hooks': reactHooks },
    rules: reactHooks.configs.recommended.rules,
  },
  // The server tells its operator on the console; so do the command-line tools.
  {
    files: ['src/server/**/*.ts', 'bench/**/*.ts', 'fuzz/**/*.ts', 'torture/**/*.ts', 'ground/**/*.ts'],
    rules: { 'no-console': 'off' },
  },
);
