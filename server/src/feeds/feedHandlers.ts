import type { HandlersOf } from '../http/serveOperations.ts'
import type { FeedReader } from './feedReader.ts'

/** How the feeds stand, and a look at them now. What a look brings in is kept by the reader, kitchen by kitchen. */
export const createFeedHandlers = (reader: Pick<FeedReader, 'states' | 'readNow'> | undefined): HandlersOf<'feeds' | 'readFeeds'> => ({
  feeds: () => [...(reader?.states() ?? [])],
  readFeeds: async () => {
    await reader?.readNow()
    return [...(reader?.states() ?? [])]
  },
})
