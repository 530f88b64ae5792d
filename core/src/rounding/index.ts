/** Rounding of what answers tell: points to a tenth, shares to a thousandth, money and steps to a hundredth. */
export const toTenth = (points: number): number => Math.round(points * 10) / 10
export const toHundredth = (value: number): number => Math.round(value * 100) / 100
export const toThousandth = (share: number): number => Math.round(share * 1000) / 1000
