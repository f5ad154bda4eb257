import { dayText } from '../calendar/dayText'
import { calibrationAge } from '../calibration/calibrationAge'
import { SPEED_TRUST, speedForRate } from '../calibration/anotherSpeed'
import type { CalibrationToday } from '../calibration/calibrationToday'
import type { TrustReason } from '../calibration/calibrationTrust'
import { agreement, UNEVEN_RUNS } from '../quantity/repeats'
import { readSpeed } from '../calibration/readSpeed'
import type { House } from '../house'
import { fieldReader } from '../quantity/fieldReader'
import { closedWorkingBook } from '../working/working'
import { formatDeviation, formatFigure } from '../quantity/format'
import { isRateReached, SETTING_TOLERANCE } from '../quantity/tolerance'
import { METRES_PER_SECOND_PER, SPEED_UNITS, type SpeedUnit } from '../quantity/units'
import { unitText } from '../quantity/systems'
import type { ApplicationDraft } from '../draft/applicationShape'
import type { Check } from './check'
import type { RuleReading } from './reading'
import type { Rule } from './rule'

/** Slower than a stroll or faster than anything that spreads evenly, m/s. */
const SLOWEST = 0.5 * METRES_PER_SECOND_PER.mph
const FASTEST = 12 * METRES_PER_SECOND_PER.mph

const ofCalibration =
  (find: (calibration: CalibrationToday, reading: RuleReading) => readonly Check[]) =>
  (reading: RuleReading): readonly Check[] =>
    reading.calibration ? find(reading.calibration, reading) : []

function ageChecks(
  { method }: ApplicationDraft,
  { on }: CalibrationToday,
  day: string,
  { calibrationDays }: House,
): readonly Check[] {
  const path = `${method}.calibration.on`
  if (on === '')
    return [
      {
        level: 'note',
        code: 'calibration-undated',
        message: 'The calibration has no date, so its age is not known.',
        source: 'calibration',
        remedies: [{ label: 'It was today', path, value: day }],
      },
    ]
  const { days, state } = calibrationAge(on, day, calibrationDays)
  if (state === 'fresh') return []
  return [
    {
      level: 'warn',
      code: 'calibration-stale',
      source: `house limit, ${calibrationDays} days`,
      message: `The calibration is ${days} days old; beyond ${calibrationDays} days it is not trusted.`,
      remedies: [
        {
          label: 'Calibrate again',
          path: `${method}.calibration.runs.0.${method === 'spread' ? 'start' : 'used'}`,
        },
      ],
    },
  ]
}

function productChecks({ method, spread, products }: ApplicationDraft): readonly Check[] {
  const tested = spread.calibration.product.trim()
  const planned = products[0]?.name.trim() ?? ''
  if (
    method !== 'spread' ||
    tested === '' ||
    planned === '' ||
    tested.toLowerCase() === planned.toLowerCase()
  )
    return []
  return [
    {
      level: 'warn',
      code: 'calibration-other-product',
      source: 'trade practice',
      message:
        `The spreader was calibrated with ${tested}; ` +
        "a setting means nothing for another product's grain.",
      remedies: [{ label: `Calibrate with ${planned}`, path: 'spread.calibration.runs.0.start' }],
    },
  ]
}

function nozzleChecks({ method }: ApplicationDraft, trust: readonly TrustReason[]): readonly Check[] {
  return trust
    .filter(
      ({ about, holds }) => !holds && (about === 'nozzles' || (about === 'product' && method === 'spray')),
    )
    .map(({ about, words }) => ({
      level: 'warn',
      code: about === 'nozzles' ? 'calibration-other-nozzles' : 'calibration-other-product',
      source: 'trade practice',
      message:
        about === 'nozzles'
          ? `The calibration was made ${words}: the carrier may differ now.`
          : `The bottle was calibrated ${words}; each product draws differently.`,
      remedies: [{ label: 'Calibrate again', path: `${method}.calibration.runs.0.used` }],
    }))
}

function runChecks({ method }: ApplicationDraft, { measured }: CalibrationToday): readonly Check[] {
  const path = `${method}.calibration.length`
  if (measured.sd === undefined) {
    return [
      {
        level: 'note',
        code: 'calibration-single-run',
        message: 'One run shows no spread: two more would tell how far to trust it.',
        source: 'calibration',
        remedies: [{ label: 'Look at the runs', path }],
      },
    ]
  }
  const { share, state } = agreement(measured)
  if (state === 'agree' || share === undefined) return []
  return [
    {
      level: 'warn',
      code: 'calibration-uneven',
      working: 'calibration',
      source: `calibration, ${measured.count} runs`,
      message:
        `The runs differ by ${formatFigure(share * 100)} % (house limit ${UNEVEN_RUNS * 100} %): repeat ` +
        'them at one pace.',
      remedies: [{ label: 'Look at the runs', path }],
    },
  ]
}

function speedChecks(
  { method }: ApplicationDraft,
  { speed, speedToday, pace }: CalibrationToday,
): readonly Check[] {
  const path = `${method}.speedToday`
  const unlikely = [speed, speedToday].find((one) => one !== undefined && (one < SLOWEST || one > FASTEST))
  const checks: Check[] = []
  if (unlikely !== undefined) {
    checks.push({
      level: 'warn',
      code: 'speed-unlikely',
      source: 'plausibility',
      message:
        `${formatFigure(unlikely / METRES_PER_SECOND_PER.mph)} mph is not a working speed: is the unit ` +
        'right?',
      remedies: [{ label: 'Check the speed', path: `${method}.calibration.speed` }],
    })
  }
  if (pace === 'questioned' && speed && speedToday) {
    checks.push({
      level: 'warn',
      code: 'speed-questioned',
      source: `trade practice, within ${SPEED_TRUST * 100} %`,
      message:
        `Today's speed is ${formatDeviation(speedToday / speed - 1)} off the calibration's: beyond ` +
        `${SPEED_TRUST * 100} % it is questioned.`,
      remedies: [{ label: 'Keep the calibrated speed', path, value: { text: '', unit: 'mph' } }],
    })
  }
  return checks
}

/** A steady walk (trade.md 3). */
const USUAL_PACE = { mph: '3', 'km/h': '4.8' } as const

/** No pace was timed and none is typed: the last that this machine was timed at is offered, else a walk. */
function paceChecks({ draft, library, calibration }: RuleReading): readonly Check[] {
  const { method } = draft
  if (!calibration || calibration.speedToday !== undefined) return []
  const unit = draft[method].calibration.speed.unit === 'mph' ? 'mph' : 'km/h'
  const timed = (library?.calibrations ?? [])
    .map(({ document: { course } }) => ({
      on: course.on,
      speed: readSpeed(course, '', fieldReader(), closedWorkingBook),
    }))
    .filter(({ speed }) => speed !== undefined)
    .toSorted((a, b) => (a.on < b.on ? 1 : -1))[0]
  const pace = timed?.speed ? formatFigure(timed.speed / METRES_PER_SECOND_PER[unit]) : USUAL_PACE[unit]
  const whose = timed ? `as timed on ${dayText(timed.on)}` : 'the usual walk'
  return [
    {
      level: 'note',
      code: 'pace-unknown',
      source: 'trade practice',
      message:
        'No pace was timed, so the time and the dial for it can’t be told; ' + `${pace} ${unit} is ${whose}.`,
      remedies: [
        { label: `Work at ${pace} ${unit}`, path: `${method}.speedToday`, value: { text: pace, unit } },
        { label: 'Time a course', path: `${method}.calibration.speed` },
      ],
    },
  ]
}

/**
 * Dry work: does this dial, at this pace, give the wanted rate of one pass; if not, at which pace would it.
 */
function settingChecks(
  { spread }: ApplicationDraft,
  { perPass, speed, speedToday }: CalibrationToday,
  wanted: number,
): readonly Check[] {
  if (isRateReached(perPass, wanted)) return []
  const off = perPass / wanted - 1
  const dial =
    spread.calibration.setting.trim() === '' ? 'This setting' : `Setting ${spread.calibration.setting.trim()}`
  const gives = `${dial} gives ${formatDeviation(off)} against what each pass needs`
  const base = {
    level: 'warn',
    code: 'setting-off',
    working: 'calibration',
    source: `house tolerance, ${SETTING_TOLERANCE * 100} %`,
  } as const
  const toDial = {
    label: off > 0 ? 'Close the dial and calibrate' : 'Open the dial and calibrate',
    path: 'spread.calibration.setting',
  }
  if (!speed || !speedToday)
    return [
      {
        ...base,
        message: `${gives}: change the dial, or time the course so that the pace can correct it.`,
        remedies: [toDial],
      },
    ]
  const answer = speedForRate(perPass, speedToday, wanted)
  if (answer.trust === 'questioned')
    return [{ ...base, message: `${gives}: too far for the pace alone.`, remedies: [toDial] }]
  const unit = speedUnitOf(spread.calibration.speed.unit)
  const pace = formatFigure(answer.speed / METRES_PER_SECOND_PER[unit])
  return [
    {
      ...base,
      message: `${gives}: walk at ${pace} ${unitText(unit)} to put it right.`,
      remedies: [
        { label: `Walk at ${pace} ${unit}`, path: 'spread.speedToday', value: { text: pace, unit } },
        toDial,
      ],
    },
  ]
}

const speedUnitOf = (unit: string): SpeedUnit => SPEED_UNITS.find((known) => known === unit) ?? 'mph'

export const CALIBRATION_RULES: readonly Rule[] = [
  {
    needs: 'reading',
    codes: ['calibration-stale', 'calibration-undated'],
    level: 'warn; without a date a note',
    looksAt: 'the age of the calibration on the day of the work',
    limit: 'the house limit in days, under Settings',
    source: 'house limit',
    find: ofCalibration((calibration, { draft, day, house }) => ageChecks(draft, calibration, day, house)),
  },
  {
    needs: 'reading',
    codes: ['calibration-other-product', 'calibration-other-nozzles'],
    level: 'warn',
    looksAt: 'what was in the spreader, the bottle or the nozzle bodies when it was calibrated',
    limit: 'the same product, the same nozzle set',
    source: 'trade practice',
    find: ofCalibration((_, { draft, trust }) => [...productChecks(draft), ...nozzleChecks(draft, trust)]),
  },
  {
    needs: 'reading',
    codes: ['calibration-single-run', 'calibration-uneven'],
    level: 'warn; for a single run a note',
    looksAt: 'how far the runs differ',
    limit: `${UNEVEN_RUNS * 100} %`,
    source: 'house limit',
    find: ofCalibration((calibration, { draft }) => runChecks(draft, calibration)),
  },
  {
    needs: 'reading',
    codes: ['speed-unlikely', 'speed-questioned'],
    level: 'warn',
    looksAt: 'the speed of the course and that of today',
    limit: `0.5 to 12 mph; within ${SPEED_TRUST * 100} % of the course`,
    source: 'trade practice, plausibility',
    find: ofCalibration((calibration, { draft }) => speedChecks(draft, calibration)),
  },
  {
    needs: 'reading',
    codes: ['pace-unknown'],
    level: 'note',
    looksAt: 'whether a pace was timed or typed',
    limit: 'none; the last pace timed with the machine, else 3 mph, is offered',
    source: 'trade practice',
    find: paceChecks,
  },
  {
    needs: 'reading',
    codes: ['setting-off'],
    level: 'warn',
    looksAt: 'what the calibrated setting gives in one pass against what the pass needs',
    limit: `${SETTING_TOLERANCE * 100} %`,
    source: 'house tolerance',
    find: ofCalibration((calibration, { draft, dial, light, wantedPerPass }) =>
      // Read off the curve or chosen by hand, the dial is answered for by its own rule.
      light || wantedPerPass === undefined || dial?.from === 'curve' || dial?.from === 'hand'
        ? []
        : settingChecks(draft, calibration, wantedPerPass),
    ),
  },
]
