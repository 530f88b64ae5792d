/**
 * The labels of a field by its own name, and not by asking every label of the page for its field, as jsdom does: half of what it costs to find
 * anything by its role is that.
 */
function labelsOf(this: HTMLElement): readonly HTMLLabelElement[] {
  const { id } = this
  const around = this.closest('label')
  const named = id === '' ? [] : [...document.getElementsByTagName('label')].filter(({ htmlFor }) => htmlFor === id)
  return around && around.htmlFor === '' ? [...named.filter((label) => label !== around), around] : named
}

for (const element of ['Button', 'Input', 'Meter', 'Output', 'Progress', 'Select', 'TextArea'] as const) {
  const kind = (window as unknown as Record<string, { readonly prototype: HTMLElement } | undefined>)[`HTML${element}Element`]
  if (kind) Object.defineProperty(kind.prototype, 'labels', { get: labelsOf, configurable: true })
}
