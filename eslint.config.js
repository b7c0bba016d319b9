import js from '@eslint/js'
import a11y from 'eslint-plugin-jsx-a11y'
import { createTypeScriptImportResolver } from 'eslint-import-resolver-typescript'
import imports from 'eslint-plugin-import-x'
import hooks from 'eslint-plugin-react-hooks'
import ts from 'typescript-eslint'

const features = ['identity', 'bank', 'paper', 'roster', 'handout', 'lookout', 'marking', 'results', 'regroup', 'sitting', 'exchange']

export default ts.config(
  { ignores: ['web/dist/**', 'web/src/lib/api/generated.ts'] },
  js.configs.recommended,
  ...ts.configs.recommended,
  {
    files: ['web/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': hooks, 'jsx-a11y': a11y, 'import-x': imports },
    settings: {
      'import-x/extensions': ['.ts', '.tsx'],
      'import-x/parsers': { '@typescript-eslint/parser': ['.ts', '.tsx'] },
      'import-x/resolver-next': [createTypeScriptImportResolver({ project: 'web/tsconfig.json' })],
    },
    rules: {
      'import-x/no-cycle': 'error',
      'react-hooks/rules-of-hooks': 'error',
      'react-hooks/exhaustive-deps': 'error',
      'jsx-a11y/alt-text': 'error',
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-unused-expressions': ['error', { allowShortCircuit: true, allowTernary: true }],
    },
  },
  // Arrows run one way: lib ← ui ← features ← app; features do not know each other.
  { files: ['web/src/lib/**'], rules: { 'no-restricted-imports': ['error', { patterns: ['@/ui/*', '@/features/*', '@/app/*'] }] } },
  { files: ['web/src/ui/**'], rules: { 'no-restricted-imports': ['error', { patterns: ['@/features/*', '@/app/*', '../features/*'] }] } },
  ...features.map((feature) => ({ files: [`web/src/features/${feature}/**`], rules: { 'no-restricted-imports': ['error', { patterns: ['@/app/*', '@/features/*', '../*'] }] } })),
)
