// Holds docs/openapi.json to the rules for descriptions of APIs, and to this house's.
import { createConfig, lint } from '@redocly/openapi-core'

const FILE = '../docs/openapi.json'
const config = await createConfig({
  extends: ['recommended-strict'],
  rules: {
    // it is served where the nursery is, wherever that is
    'no-empty-servers': 'off',
    'info-license-url': 'off',
    'info-license-strict': 'off',
    // every operation has a default refusal
    'operation-4xx-response': 'off',
    // the name of an operation says it
    'operation-summary': 'off',
    'tag-description': 'off',
    'no-unused-components': 'error',
    'no-unresolved-refs': 'error',
    'operation-operationId': 'error',
    'operation-operationId-unique': 'error',
    'operation-operationId-url-safe': 'error',
    'security-defined': 'error',
    'path-parameters-defined': 'error',
    'paths-kebab-case': 'error',
    'rule/operation-id-reads-well': {
      subject: { type: 'Operation', property: 'operationId' },
      assertions: { pattern: '/^[a-z]+([A-Z][a-z]+)*$/' },
      message: 'An operation is named by words, without numbers.',
      severity: 'error',
    },
  },
})
const problems = (await lint({ ref: FILE, config })).filter((one) => !one.ignored)
for (const one of problems) {
  console.error(`${one.severity} ${one.ruleId} ${one.location[0]?.pointer ?? ''}: ${one.message}`)
}
process.exitCode = problems.length ? 1 : 0
