import { readdirSync } from 'node:fs'
import js from '@eslint/js'
import a11y from 'eslint-plugin-jsx-a11y'
import { createTypeScriptImportResolver } from 'eslint-import-resolver-typescript'
import imports from 'eslint-plugin-import-x'
import hooks from 'eslint-plugin-react-hooks'
import ts from 'typescript-eslint'

const features = ['identity', 'bank', 'peers', 'paper', 'roster', 'handout', 'lookout', 'marking', 'results', 'regroup', 'sitting', 'exchange']

const types = readdirSync('web/src/answers', { withFileTypes: true }).filter((entry) => entry.isDirectory() && entry.name !== 'parts').map((entry) => entry.name)

// A table says what it holds, and each heading what it heads.
const tables = [
  { selector: "JSXElement[openingElement.name.name='table']:not(:has(JSXOpeningElement[name.name='caption']))", message: 'A table has a caption.' },
  { selector: "JSXOpeningElement[name.name='th']:not(:has(JSXAttribute[name.name='scope']))", message: 'A heading of a table has a scope.' },
]

// Controls stand on the primitives of ui/; the browser's own only where the wrapper says why.
const controls = [
  { selector: "JSXOpeningElement[name.name=/^(select|details|dialog|progress)$/]", message: 'Take the control from ui/.' },
  { selector: "JSXOpeningElement[name.name='input']:has(JSXAttribute[name.name='type'][value.value=/^(checkbox|radio|range)$/])", message: 'Take the control from ui/ (Tick, Radios).' },
  { selector: "JSXOpeningElement[name.name=/^[a-z]/] > JSXAttribute[name.name='title']", message: 'A tooltip is a Tip; what matters stands on the page.' },
  { selector: "JSXOpeningElement[name.name='Button'] > JSXAttribute[name.name='title']", message: 'A tooltip is a Tip; what matters stands on the page.' },
]
const ownControls = ['web/src/**/*.test.tsx', 'web/src/answers/choice/Input.tsx', 'web/src/features/sitting/HowSure.tsx']

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
  {
    files: ['web/src/**/*.{ts,tsx}'],
    ignores: ['web/src/**/*.test.{ts,tsx}', 'web/src/testing/**'],
    rules: {
      'no-restricted-globals': [
        'error',
        { name: 'localStorage', message: 'Ask lib/remembered: a browser may refuse.' },
        { name: 'sessionStorage', message: 'Ask lib/remembered: a browser may refuse.' },
      ],
    },
  },
  { files: ['web/src/**/*.tsx'], rules: { 'no-restricted-syntax': ['error', ...tables, ...controls] } },
  { files: ownControls, rules: { 'no-restricted-syntax': ['error', ...tables] } },
  // One seam per type of answer: what differs is asked of its kind, nobody else asks which type it is.
  {
    files: ['web/src/**/*.{ts,tsx}'],
    ignores: ['web/src/answers/*/**', 'web/src/**/*.test.{ts,tsx}', ...ownControls],
    rules: {
      'no-restricted-syntax': [
        'error',
        ...tables,
        ...controls,
        { selector: "BinaryExpression[left.property.name='type'][right.type='Literal'][right.value=/^[a-z]+$/]", message: 'Ask the kind (answers/registry), not the type.' },
        { selector: "SwitchStatement[discriminant.property.name='type']", message: 'Ask the kind (answers/registry), not the type.' },
      ],
    },
  },
  // Arrows run one way: lib ← ui ← media ← answers ← features ← app; features do not know each other, nor do types of answer.
  { files: ['web/src/lib/**'], rules: { 'no-restricted-imports': ['error', { patterns: ['@/ui/*', '@/media/*', '@/answers/*', '@/features/*', '@/app/*'] }] } },
  { files: ['web/src/ui/**'], rules: { 'no-restricted-imports': ['error', { patterns: ['@/media/*', '@/answers/*', '@/features/*', '@/app/*', '../features/*'] }] } },
  { files: ['web/src/media/**'], rules: { 'no-restricted-imports': ['error', { patterns: ['@/answers/*', '@/features/*', '@/app/*'] }] } },
  { files: ['web/src/answers/**'], rules: { 'no-restricted-imports': ['error', { patterns: ['@/features/*', '@/app/*', '@/answers/*'] }] } },
  ...types.map((type) => ({ files: [`web/src/answers/${type}/*`], ignores: ['**/*.test.tsx'], rules: { 'no-restricted-imports': ['error', { patterns: ['@/features/*', '@/app/*', '@/answers/*', '../*/*', '!../parts/*', '../registry'] }] } })),
  ...features.map((feature) => ({ files: [`web/src/features/${feature}/**`], rules: { 'no-restricted-imports': ['error', { patterns: ['@/app/*', '@/features/*', '../*'] }] } })),
)
