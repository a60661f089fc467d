import js from '@eslint/js'
import hooks from 'eslint-plugin-react-hooks'
import ts from 'typescript-eslint'

export default ts.config(
  { ignores: ['dist', 'pure', 'src/api/schema.d.ts', 'src/core/wasm_exec.js'] },
  js.configs.recommended,
  ...ts.configs.strictTypeChecked,
  hooks.configs.flat['recommended-latest'],
  { languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } } },
  {
    rules: {
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      // Lists are edited in place by an index taken from the same list.
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-confusing-void-expression': ['error', { ignoreArrowShorthand: true }],
    },
  },
  { files: ['*.js'], ...ts.configs.disableTypeChecked },
)
