import type { Hashing } from '../services/people'

/** Scrypt of the sign-in library. */
export const HASHING: Hashing = {
  hash: (passphrase) => hashPassword(passphrase),
  matches: (hash, passphrase) => verifyPassword(hash, passphrase),
}
