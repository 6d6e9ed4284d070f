/** Core, data and store run in bare Node; features and ui under jest-expo with a DOM. */
const esm = [
  '@rneui',
  '@reduxjs',
  'immer',
  'react-redux',
  'react-native',
  'react-native-.*',
  '@react-native',
  'expo',
  '@expo',
  'expo-.*',
  '@react-native-async-storage',
].join('|');

module.exports = {
  // A shared machine can be ten times slower than itself; no test measures time.
  testTimeout: 60_000,
  // Jest leaves a processor free for whoever waits; of two that is half.
  maxWorkers: '100%',
  projects: [
    {
      displayName: 'core',
      testEnvironment: 'node',
      transform: { '\\.[jt]sx?$': ['babel-jest', { caller: { name: 'metro', platform: 'web' } }] },
      moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1' },
      transformIgnorePatterns: [`node_modules/(?!(${esm})/)`],
      testMatch: [
        '<rootDir>/src/{core,data,store,workers}/**/*.test.ts',
        '<rootDir>/{server,scripts}/**/*.test.ts',
      ],
    },
    {
      displayName: 'interface',
      preset: 'jest-expo/web',
      moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1' },
      transformIgnorePatterns: [`node_modules/(?!(${esm})/)`],
      testMatch: ['<rootDir>/src/{features,ui,forms}/**/*.test.{ts,tsx}'],
    },
  ],
};
