export { FeedNotice } from './FeedNotice.tsx'
