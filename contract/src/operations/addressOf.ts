import type { Operation } from './operation.ts'

/** Where an operation is called, with the names in braces filled in; a kitchen's operations name their kitchen. */
export function addressOf({ scope, path }: Pick<Operation, 'scope' | 'path'>, names: Readonly<Record<string, string>>): string {
  const filled = path.replaceAll(/\{(\w+)\}/g, (_whole, name: string) => encodeURIComponent(names[name] ?? ''))
  return scope === 'everyone' ? `/api${filled}` : `/api/kitchens/${encodeURIComponent(names.kitchen ?? '')}${filled}`
}
