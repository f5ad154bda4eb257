export const MISHAPS = ['spill', 'breakdown', 'weather', 'people', 'other'] as const
export const WATERED_FROM = ['irrigation', 'rain'] as const
export const LOOK_RESULTS = ['', 'worked', 'partly', 'failed', 'harmed'] as const
