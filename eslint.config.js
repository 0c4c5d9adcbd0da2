import js from '@eslint/js';
import { defineConfig } from 'eslint/config';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

export default defineConfig(
    {
        ignores: [
            'tests/Reference/node/*.cjs',
            'vendor',
            'node_modules',
            'public',
            'storage',
            '.run',
            'test-results',
            '**/generated/**',
        ],
    },
    js.configs.recommended,
    ...tseslint.configs.strictTypeChecked,
    reactHooks.configs.flat['recommended-latest'],
    {
        languageOptions: {
            parserOptions: {
                projectService: { allowDefaultProject: ['eslint.config.js'] },
                tsconfigRootDir: import.meta.dirname,
            },
        },
        rules: { '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }] },
    },
);
