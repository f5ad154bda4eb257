/** To the nearest tenth: what a weather station tells. */
export const roundedToTenths = (value: number): number => Math.round(value * 10) / 10

/** The same as text, without a nought behind the point. @example tenthsText(12.04) // '12' */
export const tenthsText = (value: number): string => String(Number(value.toFixed(1)))
