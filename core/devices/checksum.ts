/** Sum of the character codes modulo 256, two hexadecimal digits: finds a lost or changed character. */
export const checksum = (text: string): string => {
  let sum = 0
  for (const character of text) sum = (sum + (character.codePointAt(0) ?? 0)) % 256
  return sum.toString(16).toUpperCase().padStart(2, '0')
}
