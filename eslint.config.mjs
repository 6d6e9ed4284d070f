import jsxA11y from 'eslint-plugin-jsx-a11y';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

/** What the core may not reach for: it gets the time, ids and chance as arguments. */
const OUTSIDE_CORE = [
  'react',
  'react-*',
  'expo',
  'expo-*',
  '@rneui/*',
  '@reduxjs/*',
  'react-native*',
  '@react-native*',
  'node:*',
  '@/features/*',
  '@/ui/*',
  '@/store/*',
  '@/workers/*',
];

export default tseslint.config(
  { ignores: ['node_modules', 'dist', '.expo', 'expo-env.d.ts'] },
  ...tseslint.configs.recommended,
  {
    files: ['**/*.{ts,tsx}'],
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/consistent-type-imports': ['error', { disallowTypeAnnotations: false }],
      // A name that begins so is there to be left out of what follows.
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_', destructuredArrayIgnorePattern: '^_' },
      ],
      eqeqeq: ['error', 'always'],
      'no-console': 'error',
      'max-lines-per-function': ['warn', { max: 150, skipComments: true, skipBlankLines: true }],
    },
  },
  {
    // The compiler behind these rules takes as long as all the others: only where React is.
    files: ['{app,src/features,src/ui}/**/*.tsx', 'src/{features,ui,forms,store}/**/use*.ts'],
    ...reactHooks.configs.flat['recommended-latest'],
  },
  {
    files: ['app/**/*.tsx', 'src/**/*.tsx'],
    ...jsxA11y.flatConfigs.strict,
  },
  {
    files: ['src/core/**/*.ts', 'src/data/**/*.ts'],
    ignores: ['**/*.test.ts', 'src/core/tests/**'],
    rules: {
      'no-restricted-imports': [
        'error',
        { patterns: [{ group: OUTSIDE_CORE, message: 'The core runs in bare Node: pass it in.' }] },
      ],
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'localStorage',
        'navigator',
        'fetch',
        'process',
        'setTimeout',
        'crypto',
      ],
      'no-restricted-syntax': [
        'error',
        {
          selector: "CallExpression[callee.object.name='Date'][callee.property.name='now']",
          message: 'Pass `nowMs`.',
        },
        {
          selector: "NewExpression[callee.name='Date'][arguments.length=0]",
          message: 'Pass `nowMs`.',
        },
        {
          selector: "CallExpression[callee.object.name='Math'][callee.property.name='random']",
          message: 'Pass the generator.',
        },
      ],
    },
  },
  {
    files: [
      'scripts/**',
      'server/**',
      'demo/**',
      'tests/**',
      'bench/**',
      '**/*.test.ts',
      '**/*.test.tsx',
    ],
    rules: { 'no-console': 'off', 'max-lines-per-function': 'off' },
  },
  {
    files: ['*.js', '*.cjs', 'scripts/metro/*.js'],
    rules: { '@typescript-eslint/no-require-imports': 'off' },
  },
);
