import { fromMph } from '../quantity/speed'
import { fromFahrenheit } from '../quantity/temperature'
import { METRES_PER } from '../quantity/units'

/** House limits of the hour in which something goes out, SI. Source: decide.md 3. */
export const HOUSE_CONDITIONS = {
  /** Wind in which spraying stops, from which it is noted, and under which air is still, m/s. */
  sprayWindMost: fromMph(10),
  sprayWindNoted: fromMph(7),
  stillAir: fromMph(3),
  gustMost: fromMph(15),
  granuleWindMost: fromMph(15),
  /** Still air hangs from so long before sunset to so long after sunrise, h. */
  stillHours: 1.5,
  /** Air over which growth-hormone herbicides, other leaf work and quick nitrogen are warned of, °C. */
  hormoneAirMost: fromFahrenheit(85),
  foliarAirMost: fromFahrenheit(90),
  quickNitrogenAirMost: fromFahrenheit(85),
  /** Soil under which grass takes up no nitrogen, and at which it is frozen, °C. */
  nitrogenSoilLeast: fromFahrenheit(45),
  frozenSoil: 0,
  /** Rain in a day that washes granules and soil work away, and that leaves the ground full, m. */
  heavyRain: 0.5 * METRES_PER.in,
  soakingRain: METRES_PER.in,
} as const
