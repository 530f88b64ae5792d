import type { FindRequest, FoundNames } from '@tender-gill/contract'
import type { FishSearch } from './fishSearch.ts'

/**
 * Which fish a name may mean, best first, and whether it means several: as the book's names by tongue know it.
 * @param search over names by tongue, so that each hit says whose name it is
 */
export function answerFind({ name, language, most }: FindRequest, search: FishSearch): FoundNames {
  const hits = search.find(name, { language, most })
  const typed = search.findShared(name)
  const [first] = hits
  const harm = hits.find(({ warning, sharedBy }) => warning !== null && sharedBy > 1)
  // A misspelt name that several share is shared as well.
  const shared = typed ?? (first && first.sharedBy > 1 ? search.findShared(first.matched) : null)
  return {
    hits: hits.map(({ species, common, matched, tongue }) => ({
      ...{ species, common, matched, language: tongue?.slice(0, 2) ?? null },
      ...(tongue !== null && tongue.length > 2 ? { place: tongue.slice(3) } : {}),
    })),
    shared: shared !== null,
    sentence: shared
      ? `${shared.species.length} species are sold as “${shared.name}”: ask for the scientific name.${harm ? ` Among them ${harm.common}: ${harm.warning ?? ''}.` : ''}`
      : first?.warning
        ? `${first.common}: ${first.warning}.`
        : hits.length === 0
          ? `No fish of the book is sold as “${name}”.`
          : null,
  }
}
