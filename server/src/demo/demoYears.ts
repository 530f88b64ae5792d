import type { Season, Stock } from '@tender-gill/contract'

/** Two invented waters: a sheltered sound, and the banks a day out. */
export const MARROW_SOUND = 'Marrow Sound'
export const OUTER_BANKS = 'Outer Banks'

type Months = readonly [number, number, number, number, number, number, number, number, number, number, number, number]
const year = (species: string, water: string, landings: Months, condition: Months, closures: Season['closures'] = []): Season => ({
  species,
  water,
  landings: [...landings],
  condition: [...condition],
  ...(closures.length > 0 ? { closures } : {}),
})

/** Years as two invented waters might have them; from January. */
export const DEMO_SEASONS: readonly Season[] = [
  year('Gadus morhua', OUTER_BANKS, [9, 10, 9, 7, 5, 4, 4, 4, 5, 6, 7, 8], [8, 6, 3, 3, 5, 7, 8, 8, 9, 9, 9, 9]),
  year('Melanogrammus aeglefinus', OUTER_BANKS, [7, 7, 6, 6, 7, 8, 9, 10, 10, 9, 8, 7], [7, 6, 4, 3, 5, 6, 8, 8, 9, 9, 8, 8]),
  year('Pollachius virens', OUTER_BANKS, [6, 6, 5, 5, 6, 7, 8, 9, 10, 10, 9, 7], [6, 4, 3, 4, 6, 7, 8, 9, 9, 8, 8, 7]),
  year(
    'Pollachius pollachius',
    MARROW_SOUND,
    [3, 3, 4, 6, 8, 9, 10, 9, 8, 6, 4, 3],
    [6, 5, 3, 3, 5, 7, 8, 9, 9, 8, 8, 7],
    [{ from: '02-01', to: '03-31' }],
  ),
  year('Merlangius merlangus', MARROW_SOUND, [10, 9, 8, 6, 5, 4, 4, 5, 6, 8, 9, 10], [9, 8, 6, 4, 3, 4, 6, 7, 8, 8, 9, 9]),
  year('Molva molva', OUTER_BANKS, [6, 7, 8, 9, 10, 9, 7, 6, 6, 5, 5, 5], [8, 8, 7, 5, 3, 3, 5, 6, 7, 8, 8, 8]),
  year('Lophius piscatorius', OUTER_BANKS, [5, 5, 6, 7, 8, 8, 8, 9, 10, 9, 7, 6], [8, 7, 6, 5, 5, 5, 6, 7, 8, 8, 8, 8]),
  year('Anarhichas lupus', OUTER_BANKS, [4, 4, 5, 7, 9, 10, 9, 8, 6, 5, 4, 4], [4, 4, 5, 7, 8, 9, 9, 9, 8, 6, 5, 4]),
  year('Scomber scombrus', MARROW_SOUND, [1, 0, 0, 2, 7, 10, 10, 9, 8, 5, 3, 1], [6, 5, 4, 4, 4, 5, 7, 9, 10, 10, 9, 8]),
  year('Clupea harengus', MARROW_SOUND, [2, 1, 1, 2, 5, 8, 10, 10, 8, 5, 3, 2], [5, 4, 3, 4, 6, 9, 10, 9, 6, 4, 5, 5]),
  year('Merluccius merluccius', OUTER_BANKS, [6, 6, 7, 8, 9, 10, 9, 8, 7, 7, 6, 6], [7, 6, 4, 3, 3, 4, 5, 7, 8, 9, 8, 8]),
  year('Zeus faber', MARROW_SOUND, [1, 1, 1, 3, 6, 8, 10, 10, 9, 6, 3, 1], [6, 6, 6, 7, 8, 6, 5, 5, 7, 8, 8, 7]),
  year('Conger conger', MARROW_SOUND, [5, 5, 5, 6, 7, 8, 9, 10, 9, 8, 6, 5], [7, 7, 7, 7, 6, 5, 5, 6, 7, 8, 8, 8]),
  year(
    'Solea solea',
    MARROW_SOUND,
    [6, 6, 8, 10, 9, 7, 5, 4, 5, 6, 7, 7],
    [7, 5, 3, 3, 5, 7, 8, 9, 9, 9, 8, 8],
    [{ from: '02-15', to: '04-15' }],
  ),
]

type Evidence = readonly [value: number, year: number] | null
const known = (part: Evidence) => (part ? { value: part[0], year: part[1] } : undefined)
const kept = <T extends object>(stock: T): T => Object.fromEntries(Object.entries(stock).filter(([, value]) => value !== undefined)) as T

/** Evidence on a wild stock: biomass against its target, pressure against its reference, what the gear does, how it is managed. */
const wild = (
  species: string,
  water: string,
  gear: string,
  [biomass, pressure, gearing, management]: readonly [Evidence, Evidence, Evidence, Evidence],
): Stock =>
  kept({
    species,
    water,
    origin: 'wild' as const,
    gear,
    biomassRatio: known(biomass),
    pressureRatio: known(pressure),
    gearScore: known(gearing),
    managementScore: known(management),
  }) as Stock
/** Evidence on a kind of farm: feed, escapes, disease, discharge. */
const farm = (species: string, [feed, escapes, disease, discharge]: readonly [Evidence, Evidence, Evidence, Evidence]): Stock =>
  kept({
    species,
    origin: 'farmed' as const,
    feed: known(feed),
    escapes: known(escapes),
    disease: known(disease),
    discharge: known(discharge),
  }) as Stock

/** Stocks of the two invented waters and farms; every figure is made up. */
export const DEMO_STOCKS: readonly Stock[] = [
  wild('Gadus morhua', OUTER_BANKS, 'longline', [
    [0.55, 2025],
    [1.1, 2025],
    [78, 2024],
    [60, 2025],
  ]),
  wild('Melanogrammus aeglefinus', OUTER_BANKS, 'seine', [
    [1.2, 2025],
    [0.7, 2025],
    [70, 2024],
    [75, 2025],
  ]),
  wild('Pollachius virens', OUTER_BANKS, 'gillnet', [
    [0.95, 2025],
    [0.9, 2025],
    [66, 2024],
    [72, 2025],
  ]),
  wild('Pollachius pollachius', MARROW_SOUND, 'handline', [[0.45, 2023], [1.2, 2023], [92, 2024], null]),
  wild('Merlangius merlangus', MARROW_SOUND, 'trap', [
    [0.9, 2024],
    [0.8, 2024],
    [88, 2024],
    [64, 2023],
  ]),
  wild('Molva molva', OUTER_BANKS, 'longline', [[0.8, 2022], [0.95, 2022], [74, 2022], null]),
  wild('Lophius piscatorius', OUTER_BANKS, 'trawl', [
    [0.9, 2025],
    [0.95, 2025],
    [38, 2024],
    [66, 2025],
  ]),
  wild('Anarhichas lupus', OUTER_BANKS, 'longline', [[0.5, 2021], null, [74, 2022], [55, 2023]]),
  wild('Scomber scombrus', MARROW_SOUND, 'handline', [
    [1.1, 2025],
    [1.25, 2025],
    [96, 2024],
    [58, 2025],
  ]),
  wild('Clupea harengus', MARROW_SOUND, 'ring net', [
    [1.3, 2025],
    [0.6, 2025],
    [90, 2024],
    [80, 2025],
  ]),
  wild('Merluccius merluccius', OUTER_BANKS, 'longline', [
    [1.15, 2025],
    [0.85, 2025],
    [76, 2024],
    [70, 2025],
  ]),
  wild('Zeus faber', MARROW_SOUND, 'handline', [null, null, [92, 2024], null]),
  wild('Conger conger', MARROW_SOUND, 'longline', [[0.7, 2019], null, [76, 2022], [40, 2019]]),
  wild('Solea solea', MARROW_SOUND, 'beam trawl', [
    [0.75, 2025],
    [1.05, 2025],
    [30, 2024],
    [68, 2025],
  ]),
  farm('Argyrosomus regius', [
    [58, 2024],
    [72, 2024],
    [80, 2024],
    [62, 2024],
  ]),
  farm('Salmo salar', [
    [52, 2025],
    [48, 2025],
    [45, 2025],
    [55, 2025],
  ]),
  farm('Dicentrarchus labrax', [
    [55, 2024],
    [66, 2024],
    [70, 2024],
    [60, 2024],
  ]),
  farm('Sparus aurata', [
    [57, 2024],
    [66, 2024],
    [72, 2024],
    [60, 2024],
  ]),
  farm('Oncorhynchus mykiss', [
    [60, 2024],
    [78, 2024],
    [68, 2024],
    [72, 2024],
  ]),
  farm('Rachycentron canadum', [[50, 2022], [60, 2022], null, [55, 2022]]),
]
