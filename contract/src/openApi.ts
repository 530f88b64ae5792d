import { operations } from './operations/index.ts'
import type { Operation, QueryValue } from './operations/operation.ts'
import { schemas, type ShapeName } from './schemas.ts'

const refTo = (name: ShapeName) => ({ $ref: `#/components/schemas/${name}` })
const json = (schema: object) => ({ 'application/json': { schema } })
const refused = { description: 'Problem details (RFC 9457)', content: { 'application/problem+json': { schema: refTo('ProblemDetails') } } }

const inPath = (name: string) => ({ name, in: 'path', required: true, schema: { type: 'string' } })
const inQuery = (name: string, value: QueryValue) => ({
  name,
  in: 'query',
  required: false,
  schema: { type: 'string', ...(value === 'day' ? { format: 'date' } : value === 'text' ? {} : { enum: value }) },
})
const ifMatch = {
  name: 'If-Match',
  in: 'header',
  required: true,
  schema: { type: 'string' },
  description: 'The revision that was read, in quotes.',
}
const reader = {
  name: 'Reader',
  in: 'header',
  required: false,
  schema: { type: 'string' },
  description: 'How sentences are told: language, measures (`metric`, `us`) and money (`symbol`, `code`), as `en,us,code`.',
}
const onceKey = {
  name: 'Idempotency-Key',
  in: 'header',
  required: false,
  schema: { type: 'string', maxLength: 80 },
  description: 'A key of the caller’s: a command that is sent again under it is carried out once, and answered as it was.',
}

function describeOperation(name: string, operation: Operation, path: string) {
  const { summary, input, output, many, creates, query = {}, permission } = operation
  const parameters = [
    ...[...path.matchAll(/\{(\w+)\}/g)].map(([, named]) => inPath(named ?? '')),
    ...Object.entries(query).map(([key, value]) => inQuery(key, value)),
    ...(operation.ifMatch ? [ifMatch] : []),
    ...(operation.kind === 'command' ? [onceKey] : []),
    reader,
  ]
  const answer = many ? { type: 'array', items: refTo(output) } : refTo(output)
  return {
    operationId: name,
    summary,
    'x-permission': permission,
    parameters,
    ...(input ? { requestBody: { required: true, content: json(refTo(input)) } } : {}),
    responses: {
      [creates ? 201 : 200]: { description: 'Answer', content: output === 'FileText' ? { 'text/csv': {} } : json(answer) },
      default: refused,
    },
  }
}

/** The paths an operation answers on: a verb also answers without a kitchen, on the first one's prices. */
export const pathsOf = ({ scope, path }: Pick<Operation, 'scope' | 'path'>): readonly string[] =>
  scope === 'everyone' ? [`/api${path}`] : [...(scope === 'verb' ? [`/api${path}`] : []), `/api/kitchens/{kitchen}${path}`]

/** The published OpenAPI 3.1 document, made from the operations and the schemas that validate them. */
export function buildOpenApi(version: string) {
  const paths: Record<string, Record<string, object>> = {}
  for (const [name, operation] of Object.entries(operations) as [string, Operation][])
    for (const [i, path] of pathsOf(operation).entries())
      (paths[path] ??= {})[operation.method.toLowerCase()] = describeOperation(i === 0 ? name : `${name}OfKitchen`, operation, path)
  return {
    openapi: '3.1.0',
    info: { title: 'Tender Gill', version, description: 'Which fish for this dish, and what else if it is not to be had.' },
    paths,
    components: { schemas },
  }
}
