/** A passphrase is long rather than intricate. Source: OWASP ASVS 4.0.3, 2.1.1 and 2.1.2. */
export const SHORTEST_PASSPHRASE = 12
export const LONGEST_PASSPHRASE = 128

/** What everybody tries first, without blanks and digits at the end. */
const COMMON = new Set([
  'password',
  'passphrase',
  'passwordpassword',
  'letmeinletmein',
  'administrator',
  'qwertyuiop',
  'qwertzuiopue',
  'abcdefghijkl',
  'iloveyouiloveyou',
  'correcthorsebatterystaple',
])

/**
 * Why a passphrase can't be taken; undefined when it can.
 * @param names what it must not simply repeat: the sign-in name, the crew
 */
export function passphraseProblem(passphrase: string, names: readonly string[]): string | undefined {
  const count = [...passphrase].length
  if (count < SHORTEST_PASSPHRASE)
    return `A passphrase has at least ${SHORTEST_PASSPHRASE} characters: three or four words will do.`
  if (count > LONGEST_PASSPHRASE) return `A passphrase has at most ${LONGEST_PASSPHRASE} characters.`
  const bare = bareOf(passphrase)
  if (new Set(bare).size < 5) return 'This repeats a few characters: take words that say nothing to others.'
  if (COMMON.has(bare.replace(/\d+$/, '')) || /^\d+$/.test(bare))
    return 'This is among the first that are tried: take words that say nothing to others.'
  if (names.map(bareOf).some((name) => name.length > 3 && bare.replaceAll(name, '').length < 6))
    return 'This is mostly your own name: take words that say nothing to others.'
  return undefined
}

const bareOf = (text: string): string => text.toLowerCase().replaceAll(/[\s\p{P}]/gu, '')
