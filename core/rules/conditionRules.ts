import { typedFigure } from '../quantity/entered'
import { tenthsText } from '../quantity/tenths'
import { TRADE_UNITS } from '../quantity/nutrientText'
import { showCarrier } from '../quantity/systems'
import { celsius, fromFahrenheit } from '../quantity/temperature'
import { rateUnitParts } from '../quantity/rateUnit'
import { ROUNDING, isUnder } from '../quantity/tolerance'
import { CUBIC_METRES_PER, SQUARE_METRES_PER, type TemperatureUnit } from '../quantity/units'
import type { Entered } from '../quantity/entered'
import type { NitrogenForm } from '../label/productDocument'
import type { ProductDocument } from '../label/productShape'
import { NUTRIENTS } from '../label/label'
import { isPresent, nutrientOn, nutrientWords } from '../plan/areaNutrients'
import type { RuleVisit, VisitedProduct } from './visit'
import type { Check } from './check'
import { byHouse, labelChecks, notedReading, ofSubject } from './judgedConditions'
import type { Rule } from './rule'

/** Heat in which salt burns leaves, °C (house default, 85 °F). */
const HEAT = 85
/** Salt index from which a product counts as salty; sodium nitrate is 100 (house default). */
const SALTY = 75
/** Urea is slow below, and loses ammonia on warm, dry, sweet ground above; °F and pH. Source: trade.md 11. */
const UREA_COLD = 50
const UREA_WARM = 70
const SWEET = 7.5
/** Leaf feed in less than this, gal on 1,000 ft2, burns or runs short (house default). */
const LEAF_FEED_WATER = 1
/** Warmer or colder than any day a lawn is worked on, °C. */
const UNLIKELY = { from: -15, to: 52 } as const

interface DayRead {
  readonly air: Reading | undefined
  readonly soil: Reading | undefined
}
interface Reading {
  readonly degrees: number
  readonly unit: TemperatureUnit
  readonly told: string
}

/** Weather of the day as it was noted. */
const readDay = ({ draft: { day } }: RuleVisit): DayRead => ({
  air: reading(day?.air),
  soil: reading(day?.soil),
})

function reading(entered: Entered<TemperatureUnit> | undefined): Reading | undefined {
  const read = typedFigure(entered, 'temperature', 'any-sign')
  return read && { degrees: celsius(read), unit: read.unit, told: `${tenthsText(read.value)} ${read.unit}` }
}

/** Celsius read as Fahrenheit shows as an absurd day. */
function unlikely({ air, soil }: DayRead): readonly Check[] {
  return (
    [
      ['air', air],
      ['soil', soil],
    ] as const
  ).flatMap(([name, one]): readonly Check[] =>
    one && (one.degrees < UNLIKELY.from || one.degrees > UNLIKELY.to)
      ? [
          {
            level: 'warn',
            code: 'temperature-unlikely',
            source: 'plausibility',
            message:
              `${one.told} is no ${name === 'air' ? 'air' : 'soil'} temperature to work in: is the unit ` +
              'right?',
            remedies: [
              {
                label: `Take it as ${one.unit === '°F' ? '°C' : '°F'}`,
                path: `day.${name}`,
                value: { text: one.told.split(' ')[0] ?? '', unit: one.unit === '°F' ? '°C' : '°F' },
              },
            ],
          },
        ]
      : [],
  )
}

const heatChecks = (line: VisitedProduct, visit: RuleVisit): readonly Check[] =>
  labelChecks(line, visit, 'air', {
    code: 'too-hot',
    source: 'label, highest air temperature',
    remedies: [{ label: 'Choose a cooler day or hour', path: 'day.air' }],
  })

const soilWindow = (line: VisitedProduct, visit: RuleVisit): readonly Check[] =>
  labelChecks(line, visit, 'soil', {
    code: 'soil-temperature',
    source: 'label, soil temperature',
    remedies: [{ label: 'Choose another day', path: 'day.soil' }],
  })

/** Air, soil and turf by the house. */
function houseConditions(visit: RuleVisit): readonly Check[] {
  const found = byHouse(notedReading(visit), visit)
  const of = (subject: 'air' | 'soil' | 'turf', code: Check['code'], label: string) =>
    ofSubject(found, subject, ({ message }) => ({
      code,
      source: 'house, conditions',
      message,
      remedies: [{ label, path: `day.${subject}` }],
    }))
  return [
    ...of('air', 'hot-by-house', 'Choose a cooler day or hour'),
    ...of('soil', 'cold-by-house', 'Choose another day'),
    ...of('turf', 'turf-resting', 'Choose another day'),
  ]
}

const isHot = ({ draft }: RuleVisit, { air }: DayRead) =>
  draft.day?.turf === 'heat-stressed' || (air !== undefined && air.degrees >= fromFahrenheit(HEAT) - ROUNDING)

/** Chloride potassium or much salt, in heat or where nothing waters it in. */
function saltChecks(
  { note, product, planned }: VisitedProduct,
  context: RuleVisit,
  read: DayRead,
): readonly Check[] {
  const { potassium, saltIndex } = product.document
  const salty = saltIndex?.trim() ? Number(saltIndex) >= SALTY : false
  const chloride = potassium === 'chloride' && (planned.analysis?.k2o ?? 0) > 0
  if (!salty && !chloride) return []
  const dry =
    context.draft.fate !== undefined &&
    context.draft.fate.where !== '' &&
    context.draft.fate.water.trim() === ''
  if (!isHot(context, read) && !dry) return []
  return [
    {
      level: 'warn',
      code: 'salt-in-heat',
      productId: note.id,
      source: `trade practice, from ${HEAT} °F`,
      message:
        `${product.name} ` +
        `${chloride ? 'brings its potassium as chloride' : `has a salt index of ${saltIndex?.trim()}`}: ` +
        `${isHot(context, read) ? 'in heat that burns' : 'without watering it burns'}. Water it in, or ` +
        'take a sulfate or a slower product.',
      remedies: [{ label: 'Say what waters it in', path: 'fate.water' }],
    },
  ]
}

/** Nitrogen on turf that rests; the quick share of it on turf that is going to rest. */
function restingChecks({ draft, request, plan }: RuleVisit): readonly Check[] {
  const turf = draft.day?.turf ?? ''
  const [laid] = plan.areas
    .map(({ id }) => nutrientOn(id, 'n', request, plan))
    .toSorted((a, b) => b.known - a.known)
  if (!laid || !isPresent(laid)) return []
  if (turf !== 'dormant' && turf !== 'going dormant') return []
  const quick = request.products.some(({ analysis }) => (analysis?.n ?? 0) > 0 && (analysis?.slowN ?? 0) < 50)
  if (turf === 'going dormant' && !quick) return []
  return [
    {
      level: 'warn',
      code: 'nitrogen-resting',
      source: 'trade practice',
      message:
        `${nutrientWords(laid, 'n', request.units)} on turf that is ${turf}: ` +
        `${turf === 'going dormant' ? 'quick nitrogen keeps it from hardening' : 'it can’t use it'}.`,
      remedies: [{ label: 'Choose another day', path: 'day.turf' }],
    },
  ]
}

/** What the soil makes of urea: a caution, never a stop. */
function formChecks({ lines, draft, lawns }: RuleVisit, { soil }: DayRead): readonly Check[] {
  if (!soil) return []
  return lines.flatMap(({ note, product }): readonly Check[] => {
    if (shareOf(product.document, 'urea') <= 50) return []
    if (soil.degrees < fromFahrenheit(UREA_COLD) - ROUNDING)
      return [
        {
          level: 'note',
          code: 'nitrogen-form',
          productId: note.id,
          source: `trade practice, urea under ${UREA_COLD} °F`,
          message:
            `${product.name} is mostly urea: at ${soil.told} of soil it is slow, not lost. Ammonium and ` +
            'nitrate act now.',
          remedies: [],
        },
      ]
    const sweet = lawns.filter(({ area }) => Number(area.document.soilTest?.ph ?? '') >= SWEET)
    if (soil.degrees < fromFahrenheit(UREA_WARM) || sweet.length === 0 || draft.fate?.water.trim()) return []
    return [
      {
        level: 'warn',
        code: 'nitrogen-form',
        productId: note.id,
        source: `trade practice, urea on warm ground of pH ${SWEET} and more`,
        message:
          `${product.name} is mostly urea: on warm, dry ground of high pH it loses ammonia unless it is ` +
          'watered in.',
        remedies: [{ label: 'Say what waters it in', path: 'fate.water' }],
      },
    ]
  })
}

function shareOf({ nForms, analysis }: ProductDocument, form: NitrogenForm): number {
  if (!nForms || analysis.n.text.trim() === '') return 0
  return typedFigure(nForms[form], 'percent', 'zero-too')?.value ?? 0
}

/** Feed for the leaf in too little water. */
function leafChecks({ request, lines }: RuleVisit): readonly Check[] {
  const { method } = request
  const feeds = request.products.some(({ analysis }) => NUTRIENTS.some((name) => (analysis?.[name] ?? 0) > 0))
  if (method.kind !== 'spray' || !feeds || lines.some(({ line }) => line.figures?.carrierFrom?.text.trim()))
    return []
  const perThousand =
    (method.carrier.value * rateUnitParts(method.carrier.unit).factor * SQUARE_METRES_PER['1000 ft2']) /
    CUBIC_METRES_PER.gal
  if (!isUnder(perThousand, LEAF_FEED_WATER)) return []
  const water = (gallons: number) => {
    const { figure, unit } = showCarrier(
      (gallons * CUBIC_METRES_PER.gal) / SQUARE_METRES_PER['1000 ft2'],
      request.units ?? TRADE_UNITS,
    )
    return `${figure} ${unit}`
  }
  return [
    {
      level: 'warn',
      code: 'little-water',
      source: `house rule, ${water(LEAF_FEED_WATER)}`,
      message: `${water(perThousand)} is little water for feed on the leaf: it may burn.`,
      remedies: [{ label: 'Look at the calibration', path: 'spray.calibration.speed' }],
    },
  ]
}

export const CONDITION_RULES: readonly Rule[] = [
  {
    needs: 'visit',
    codes: ['temperature-unlikely'],
    level: 'warn',
    looksAt: 'air and soil temperature as noted',
    limit: `${UNLIKELY.from} to ${UNLIKELY.to} °C`,
    source: 'plausibility',
    find: (visit) => unlikely(readDay(visit)),
  },
  {
    needs: 'visit',
    codes: ['too-hot'],
    level: 'stop',
    looksAt: 'air temperature',
    limit: 'the label’s highest',
    source: 'label',
    find: (visit) => visit.lines.flatMap((line) => heatChecks(line, visit)),
  },
  {
    needs: 'visit',
    codes: ['soil-temperature'],
    level: 'stop',
    looksAt: 'soil temperature',
    limit: 'the window of the label’s line',
    source: 'label',
    find: (visit) => visit.lines.flatMap((line) => soilWindow(line, visit)),
  },
  {
    needs: 'visit',
    codes: ['hot-by-house', 'cold-by-house', 'turf-resting'],
    level: 'warn; frozen soil and quick nitrogen on cold dormant turf stop',
    looksAt: 'air, soil and turf as noted',
    limit:
      'growth-hormone herbicides and quick nitrogen on cool-season turf 85 °F, other leaf work 90 °F; ' +
      'soil not frozen, for nitrogen 45 °F; turf that rests in heat',
    source: 'house',
    find: houseConditions,
  },
  {
    needs: 'visit',
    codes: ['salt-in-heat'],
    level: 'warn',
    looksAt: 'chloride potassium or much salt, in heat or with no water to follow',
    limit: `${HEAT} °F, salt index ${SALTY}`,
    source: 'trade practice',
    find: (visit) => visit.lines.flatMap((line) => saltChecks(line, visit, readDay(visit))),
  },
  {
    needs: 'visit',
    codes: ['nitrogen-resting'],
    level: 'warn',
    looksAt: 'nitrogen on turf that rests; quick nitrogen on turf going to rest',
    limit: 'none',
    source: 'trade practice',
    find: restingChecks,
  },
  {
    needs: 'visit',
    codes: ['nitrogen-form'],
    level: 'warn on warm dry ground of high pH, else note',
    looksAt: 'what the soil makes of urea',
    limit: `${UREA_COLD} and ${UREA_WARM} °F of soil, pH ${SWEET}`,
    source: 'trade practice',
    find: (visit) => formChecks(visit, readDay(visit)),
  },
  {
    needs: 'visit',
    codes: ['little-water'],
    level: 'warn',
    looksAt: 'leaf feed and its spray volume',
    limit: `${LEAF_FEED_WATER} gal on 1,000 ft², else the label’s`,
    source: 'house rule',
    find: (visit) => (visit.draft.fate?.where === 'leaf' ? leafChecks(visit) : []),
  },
]
