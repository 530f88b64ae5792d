/** For which server this page was made, as that server wrote into it; null where nobody did. */
export function readApiName(): string | null {
  const said = typeof document === 'undefined' ? null : document.querySelector<HTMLMetaElement>('meta[name=api]')?.content
  return said && !said.startsWith('__') ? said : null
}
