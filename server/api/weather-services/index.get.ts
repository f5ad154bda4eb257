import { WEATHER_SERVICES } from '../../services/season/weatherService'

/** Services a station can take its readings from: the simulated ones that ship. */
export default defineEventHandler(() => WEATHER_SERVICES.map(({ id, name }) => ({ id, name })))
