import type { Brief, Opening } from '@tender-gill/contract'

type Node = Record<string, unknown>
const isNode = (value: unknown): value is Node => typeof value === 'object' && value !== null && !Array.isArray(value)

function setAt(node: Node, tokens: readonly string[], value: unknown): Node {
  const [token = '', ...rest] = tokens
  if (rest.length === 0) return { ...node, [token]: value }
  const child = node[token]
  return { ...node, [token]: setAt(isNode(child) ? child : {}, rest, value) }
}

const tokensOf = (path: string) =>
  path
    .split('/')
    .slice(1)
    .map((token) => token.replaceAll('~1', '/').replaceAll('~0', '~'))

/** The brief with each opening written at its JSON Pointer; objects on the way are made where they are missing. */
export const applyOpenings = (brief: Brief, opens: readonly Opening[]): Brief =>
  opens.reduce<Node>((changed, { path, value }) => setAt(changed, tokensOf(path), value), { ...brief }) as Brief
