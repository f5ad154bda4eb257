/** A latitude as it was typed. @returns degrees, south below zero; undefined where it is none */
export function readLatitude(text: string): number | undefined {
  const degrees = Number(text.trim() || Number.NaN)
  return Math.abs(degrees) <= 90 ? degrees : undefined
}
