export { describeCost, describeFish, describePurchase, type FishIdentity } from './describeFish.ts'
export { findOffer } from './findOffer.ts'
