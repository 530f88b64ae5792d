export { LadderPanel } from './LadderPanel.tsx'
