// Makes src/shared/api/codes.ts from docs/openapi.json: the codes whose order means something, in the server's order.
import { readFileSync, writeFileSync } from 'node:fs'

const LISTS = {
  STAGES: ['LayerCard', 'stage'],
  CONDITIONS: ['LayerCard', 'conditions'],
  METHODS: ['MethodView', 'method'],
  RUNGS: ['OnLadder', 'rung'],
  SIGNS: ['Observed', 'signs'],
}

const { schemas } = JSON.parse(readFileSync('../docs/openapi.json', 'utf8')).components
const lists = Object.entries(LISTS).map(([name, [schema, property]]) => {
  const described = schemas[schema].properties[property]
  const isList = described.type === 'array'
  const codes = (isList ? described.items : described).enum.map((code) => `  '${code}',\n`).join('')
  return `export const ${name}: NonNullable<Schemas['${schema}']['${property}']>${isList ? '' : '[]'} = [\n${codes}]\n`
})
writeFileSync(
  'src/shared/api/codes.ts',
  `import type { Schemas } from './client'\n\n// Made from docs/openapi.json by "npm run types".\n\n${lists.join('\n')}`,
)
