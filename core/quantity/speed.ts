import { METRES_PER_SECOND_PER } from './units'

/** Metres a second of a threshold that is printed in mph. @example 10: 4.4704 m/s */
export const fromMph = (speed: number): number => speed * METRES_PER_SECOND_PER.mph
