import { expect, test } from '../stack.ts'

interface Flesh {
  readonly common: string
  readonly offers: readonly {
    readonly id: string
    readonly traits: Readonly<Record<'flake' | 'firmness' | 'fat' | 'cohesion', { readonly typical: number }>>
  }[]
}
interface Seen {
  readonly common: string
  /** Grey of each pixel at 64 by 32, 0..255. */
  readonly pixels: readonly number[]
  /** Grey of the raw colour, 0..1. */
  readonly tint: number
}

const distance = (a: readonly number[], b: readonly number[]) => Math.hypot(...a.map((one, i) => one - (b[i] ?? 0)))
function rank(values: readonly number[]): readonly number[] {
  const places = new Array<number>(values.length)
  values
    .map((value, i) => [value, i] as const)
    .sort((a, b) => a[0] - b[0])
    .forEach(([, i], place) => (places[i] = place))
  return places
}
/** Rank correlation, after Spearman; ties are too few here to matter. */
function correlate(a: readonly number[], b: readonly number[]): number {
  const [x, y] = [rank(a), rank(b)]
  const middle = (x.length - 1) / 2
  const sum = (f: (i: number) => number) => x.reduce((total, _one, i) => total + f(i), 0)
  return sum((i) => ((x[i] ?? 0) - middle) * ((y[i] ?? 0) - middle)) / sum((i) => ((x[i] ?? 0) - middle) ** 2)
}

test('flesh prints look as different as the flesh is', async ({ page }) => {
  await page.goto('/book')
  await page.getByRole('button', { name: /^Show all/ }).click()
  const prints = page.getByRole('main').locator('svg[role=img][viewBox="0 0 120 60"]')
  await expect(prints).toHaveCount(220)
  const seen: readonly Seen[] = await prints.evaluateAll(async (all) => {
    const canvas = document.createElement('canvas')
    canvas.width = 64
    canvas.height = 32
    const draw = canvas.getContext('2d', { willReadFrequently: true })
    if (!draw) throw new Error('no canvas')
    const grey = (red = 0, green = 0, blue = 0) => 0.299 * red + 0.587 * green + 0.114 * blue
    const found = []
    for (const svg of all) {
      const copy = svg.cloneNode(true) as SVGElement
      copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg')
      copy.setAttribute('width', '64')
      copy.setAttribute('height', '32')
      const image = new Image()
      image.src = `data:image/svg+xml;utf8,${encodeURIComponent(copy.outerHTML)}`
      await image.decode()
      draw.fillStyle = '#FFFFFF'
      draw.fillRect(0, 0, 64, 32)
      draw.drawImage(image, 0, 0, 64, 32)
      const { data } = draw.getImageData(0, 0, 64, 32)
      const hex = svg.querySelector('path[fill^="#"]')?.getAttribute('fill') ?? '#000000'
      const part = (at: number) => parseInt(hex.slice(at, at + 2), 16)
      found.push({
        common: (svg.getAttribute('aria-label') ?? '').split(': ')[0] ?? '',
        pixels: Array.from({ length: 64 * 32 }, (_, i) => grey(data[4 * i], data[4 * i + 1], data[4 * i + 2])),
        tint: grey(part(1), part(3), part(5)) / 255,
      })
    }
    return found
  })
  const book = (await (await page.request.get('/api/kitchens/lantern-house/species')).json()) as readonly Flesh[]
  const traitsOf = new Map(book.map(({ common, offers }) => [common, offers[0]?.traits]))
  const fish = seen.flatMap(({ common, pixels, tint }) => {
    const traits = traitsOf.get(common)
    if (!traits) return []
    const { flake, firmness, fat, cohesion } = traits
    const flesh = [flake.typical / 10, firmness.typical / 10, Math.sqrt(fat.typical / 20), cohesion.typical / 10, 1.6 * tint]
    return [{ pixels, flesh }]
  })
  expect(fish).toHaveLength(220)
  const pairs = fish.flatMap((one, i) => fish.slice(i + 1).map((other) => [one, other] as const))
  const inFlesh = pairs.map(([one, other]) => distance(one.flesh, other.flesh))
  const inPixels = pairs.map(([one, other]) => distance(one.pixels, other.pixels))
  expect(correlate(inFlesh, inPixels)).toBeGreaterThan(0.7)
})
