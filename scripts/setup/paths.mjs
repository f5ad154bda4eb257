// @ts-check
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

/** The checkout. */
export const PROJECT = join(dirname(fileURLToPath(import.meta.url)), '..', '..')
export const SERVER_ENTRY = join(PROJECT, '.output', 'server', 'index.mjs')
