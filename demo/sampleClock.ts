/** The sample crew's morning: 6 May, 07:40 on the made-up peninsula. Its clock opens here and runs on. */
export const SAMPLE_OPENS_AT = '2026-05-06T11:40:00.000Z'
export const SAMPLE_TIME_ZONE = 'America/New_York'
