export { describeCost, describeFish, describePurchase, type FishIdentity } from './describeFish.ts'
