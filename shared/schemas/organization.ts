import * as v from 'valibot'
import { DEFAULT_HOUSE, type House } from '#core/house'
import {
  LOCAL_LENGTH_UNITS,
  LOCAL_RATE_UNITS,
  LOCAL_RULE_KINDS,
  type LocalRule,
  type MixNote,
} from '#core/rules/localRule'
import type { Role } from '#core/people/roles'
import { UNIT_SYSTEMS, type UnitSystem } from '#core/quantity/systems'
import { Line, Notes, Uuid, Version } from '#core/shape/texts'

const CrewName = v.pipe(v.string(), v.trim(), v.minLength(1, 'A crew needs a name.'), v.maxLength(120))

const isZone = (zone: string) => {
  try {
    return Boolean(new Intl.DateTimeFormat('en', { timeZone: zone }))
  } catch {
    return false
  }
}
const TimeZone = v.pipe(v.string(), v.check(isZone, 'must be the name of a time zone, such as Europe/Dublin'))

export const NewOrganizationSchema = v.strictObject({
  id: Uuid,
  name: CrewName,
  units: v.picklist(UNIT_SYSTEMS),
  /** The clock of the crew; absent: that of the server. */
  timeZone: v.optional(TimeZone),
})
export type NewOrganization = v.InferOutput<typeof NewOrganizationSchema>

export const ChooseOrganizationSchema = v.strictObject({ id: Uuid })

const Share = v.pipe(
  v.number(),
  v.minValue(0.001, 'must be above zero'),
  v.maxValue(1, 'must be at most 100 %'),
)

const MonthDay = v.pipe(
  v.string(),
  v.regex(/^(|(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01]))$/, 'must be month and day, such as 12-01'),
)

/** What a crew found when two products met. */
const Mixes = v.pipe(
  v.array(
    v.strictObject({ id: Uuid, a: Line, b: Line, verdict: v.picklist(['mixes', 'never']), words: Line }),
  ),
  v.maxLength(200),
  v.readonly(),
)

/**
 * What a crew settles once. Every part has its default, so that settings written before it was thought of
 * still read.
 */
export const SettingsSchema = v.strictObject({
  currency: v.optional(
    v.pipe(v.string(), v.regex(/^[A-Z]{3}$/, 'must be three letters, such as USD')),
    'USD',
  ),
  /** First line to call in an emergency, as the crew fills it in. */
  poisonCentre: v.optional(Line, ''),
  notes: v.optional(Notes, ''),
  /** Rules of the place and of clients; the crew's own table. */
  local: v.optional(
    v.pipe(
      v.array(
        v.strictObject({
          id: Uuid,
          kind: v.picklist(LOCAL_RULE_KINDS),
          from: MonthDay,
          to: MonthDay,
          limit: Line,
          unit: v.optional(v.picklist([...LOCAL_RATE_UNITS, ...LOCAL_LENGTH_UNITS])),
          source: Line,
        }),
      ),
      v.maxLength(40),
      v.readonly(),
    ),
    [],
  ),
  /** What this crew found when two products met. */
  mixes: v.optional(Mixes, []),
  house: v.optional(
    v.strictObject({
      calibrationDays: v.optional(
        v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(3650)),
        DEFAULT_HOUSE.calibrationDays,
      ),
      good: v.optional(Share, DEFAULT_HOUSE.good),
      acceptable: v.optional(Share, DEFAULT_HOUSE.acceptable),
      groupRun: v.optional(
        v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(20)),
        DEFAULT_HOUSE.groupRun,
      ),
      repeatMargin: v.optional(
        v.pipe(v.number(), v.minValue(0), v.maxValue(0.9)),
        DEFAULT_HOUSE.repeatMargin,
      ),
    }),
    DEFAULT_HOUSE,
  ),
})
export type Settings = v.InferOutput<typeof SettingsSchema>

export const SaveOrganizationSchema = v.strictObject({
  version: Version,
  name: CrewName,
  licence: Line,
  units: v.picklist(UNIT_SYSTEMS),
  timeZone: TimeZone,
  settings: v.pipe(
    SettingsSchema,
    v.check(({ house }) => house.good <= house.acceptable, 'Good can’t be wider than acceptable.'),
  ),
})
/** Jar tests are noted by whoever works; the rest of the settings stays as it is. */
export const SaveMixesSchema = v.strictObject({ version: Version, mixes: Mixes })

export type SaveOrganization = v.InferOutput<typeof SaveOrganizationSchema>

export interface Organization {
  readonly id: string
  readonly version: number
  readonly name: string
  readonly kind: 'sample' | 'own' | 'retired'
  readonly licence: string
  readonly units: UnitSystem
  /** IANA name of the zone its days are counted in. */
  readonly timeZone: string
  /** Milliseconds its clock runs ahead of the real one; the sample's is shifted, an own crew's is 0. */
  readonly clockShift: number
  /** It has people, who sign in; else it is open to whoever sits at this machine, and to nobody else. */
  readonly peopled: boolean
  readonly settings: Omit<Settings, 'house' | 'local' | 'mixes'> & {
    readonly house: House
    readonly local: readonly LocalRule[]
    readonly mixes: readonly MixNote[]
  }
}

/** The organization in hand and those one can change to. */
export interface OrganizationChoice {
  readonly current: Organization
  /** What whoever asks may do in it. */
  readonly role: Role
  readonly all: readonly { readonly id: string; readonly name: string; readonly kind: Organization['kind'] }[]
}
