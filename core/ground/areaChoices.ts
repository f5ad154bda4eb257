/** What an area is: turf is treated, a bed or a strip only where a label allows it. */
export const AREA_USES = ['turf', 'bed', 'strip'] as const
export const CLIPPINGS = ['', 'kept', 'collected'] as const
export const SUNS = ['', 'full sun', 'part shade', 'shade'] as const
export const PRIORITIES = ['normal', 'high', 'low'] as const

/** What a laboratory says of a nutrient in the ground. */
export const SOIL_LEVELS = ['', 'low', 'enough', 'high'] as const
export type SoilLevel = (typeof SOIL_LEVELS)[number]

/** Whether a disease sits in the roots or on the leaf: what feeding does to it differs. */
export const DISEASE_SEATS = ['root', 'leaf'] as const
