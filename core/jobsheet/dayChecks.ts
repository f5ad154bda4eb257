import { formatFigure } from '../quantity/format'
import { fieldReader } from '../quantity/fieldReader'
import { celsius, temperatureIn } from '../quantity/temperature'
import { rateUnitParts } from '../quantity/rateUnit'
import { CUBIC_METRES_PER, SQUARE_METRES_PER, type TemperatureUnit } from '../quantity/units'
import type { Entered } from '../quantity/entered'
import type { Quantity } from '../quantity/quantity'
import type { NitrogenForm, ProductDocument } from '../label/productDocument'
import { NUTRIENTS } from '../label/label'
import { nutrientsOn } from '../plan/areaNutrients'
import type { Plan } from '../plan/plan'
import type { LabelContext, LabelledLine } from './labelContext'
import type { SheetCheck } from './sheetCheck'

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

/**
 * Turf and weather of the day as they were noted, against label and trade practice. Source: trade.md 5, 6,
 * 11.
 */
export function dayChecks(context: LabelContext, plan: Plan): readonly SheetCheck[] {
  const { day, fate } = context.document
  const read: DayRead = { air: reading(day?.air), soil: reading(day?.soil) }
  return [
    ...unlikely(read),
    ...context.lines.flatMap((line) => [
      ...heatChecks(line, read),
      ...soilWindow(line, read),
      ...saltChecks(line, context, read),
    ]),
    ...restingChecks(context, plan),
    ...formChecks(context, read),
    ...(fate?.where === 'leaf' ? leafChecks(context, plan) : []),
  ]
}

function reading(entered: Entered<TemperatureUnit> | undefined): Reading | undefined {
  const read = entered && fieldReader().optional('', entered, 'temperature', 'Temperature', 'any-sign')
  return read && { degrees: celsius(read), unit: read.unit, told: `${tenths(read.value)} ${read.unit}` }
}

/** A temperature is told to the tenth, and whole where it is whole. */
const tenths = (value: number) => String(Number(value.toFixed(1)))
const fahrenheit = (value: number): Quantity<TemperatureUnit> => ({ value, unit: '°F' })
const told = (limit: Quantity<TemperatureUnit>, unit: TemperatureUnit) =>
  `${tenths(temperatureIn(celsius(limit), unit))} ${unit}`

/** Celsius read as Fahrenheit shows as an absurd day. */
function unlikely({ air, soil }: DayRead): readonly SheetCheck[] {
  return (
    [
      ['air', air],
      ['soil', soil],
    ] as const
  ).flatMap(([name, one]): readonly SheetCheck[] =>
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

const limitOf = ({ line }: LabelledLine, name: 'airMost' | 'soilFrom' | 'soilTo') => {
  const entered = line.figures?.[name]
  return entered && fieldReader().optional('', entered, 'temperature', 'Temperature', 'any-sign')
}

function heatChecks(line: LabelledLine, { air }: DayRead): readonly SheetCheck[] {
  const most = limitOf(line, 'airMost')
  if (!air || !most || air.degrees <= celsius(most) + 1e-9) return []
  return [
    {
      level: 'stop',
      code: 'too-hot',
      productId: line.note.id,
      source: 'label, highest air temperature',
      message:
        `${air.told} of air is over the ${told(most, air.unit)} up to which ${line.product.name} may go ` +
        'down.',
      remedies: [{ label: 'Choose a cooler day or hour', path: 'day.air' }],
    },
  ]
}

function soilWindow(line: LabelledLine, { soil }: DayRead): readonly SheetCheck[] {
  if (!soil) return []
  const [from, to] = [limitOf(line, 'soilFrom'), limitOf(line, 'soilTo')]
  const off =
    from && soil.degrees < celsius(from) - 1e-9
      ? `under the ${told(from, soil.unit)} from`
      : to && soil.degrees > celsius(to) + 1e-9
        ? `over the ${told(to, soil.unit)} up to`
        : undefined
  return off
    ? [
        {
          level: 'stop',
          code: 'soil-temperature',
          productId: line.note.id,
          source: 'label, soil temperature',
          message: `${soil.told} of soil is ${off} which ${line.product.name} may go down.`,
          remedies: [{ label: 'Choose another day', path: 'day.soil' }],
        },
      ]
    : []
}

const isHot = ({ document }: LabelContext, { air }: DayRead) =>
  document.day?.turf === 'heat-stressed' ||
  (air !== undefined && air.degrees >= celsius(fahrenheit(HEAT)) - 1e-9)

/** Chloride potassium or much salt, in heat or where nothing waters it in. */
function saltChecks(
  { note, product, planned }: LabelledLine,
  context: LabelContext,
  read: DayRead,
): readonly SheetCheck[] {
  const { potassium, saltIndex } = product.document
  const salty = saltIndex?.trim() ? Number(saltIndex) >= SALTY : false
  const chloride = potassium === 'chloride' && (planned.analysis?.k2o ?? 0) > 0
  if (!salty && !chloride) return []
  const dry =
    context.document.fate !== undefined &&
    context.document.fate.where !== '' &&
    context.document.fate.water.trim() === ''
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
function restingChecks({ document, lawns, request }: LabelContext, plan: Plan): readonly SheetCheck[] {
  const turf = document.day?.turf ?? ''
  const laid =
    lawns.length > 0
      ? Math.max(...lawns.map(({ lawn }) => nutrientsOn(lawn.id, request, plan)?.n ?? 0))
      : (plan.nutrients?.n.value ?? 0)
  if (laid <= 0 || (turf !== 'dormant' && turf !== 'heat-stressed' && turf !== 'going dormant')) return []
  const quick = request.products.some(({ analysis }) => (analysis?.n ?? 0) > 0 && (analysis?.slowN ?? 0) < 50)
  if (turf === 'going dormant' && !quick) return []
  return [
    {
      level: 'warn',
      code: 'nitrogen-resting',
      source: 'trade practice',
      message:
        `${formatFigure(laid)} lb N/1000 ft2 on turf that is ${turf}: ` +
        `${turf === 'going dormant' ? 'quick nitrogen keeps it from hardening' : 'it can’t use it'}.`,
      remedies: [{ label: 'Choose another day', path: 'day.turf' }],
    },
  ]
}

/** What the soil makes of urea: a caution, never a stop. */
function formChecks({ lines, document, lawns }: LabelContext, { soil }: DayRead): readonly SheetCheck[] {
  if (!soil) return []
  return lines.flatMap(({ note, product }): readonly SheetCheck[] => {
    if (shareOf(product.document, 'urea') <= 50) return []
    if (soil.degrees < celsius(fahrenheit(UREA_COLD)) - 1e-9)
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
    if (soil.degrees < celsius(fahrenheit(UREA_WARM)) || sweet.length === 0 || document.fate?.water.trim())
      return []
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
  return fieldReader().optional('', nForms[form], 'percent', form, 'zero-too')?.value ?? 0
}

/** Feed for the leaf in too little water. */
function leafChecks({ request, lines }: LabelContext, plan: Plan): readonly SheetCheck[] {
  const { method } = request
  const feeds = NUTRIENTS.some((name) => (plan.nutrients?.[name].value ?? 0) > 0)
  if (method.kind !== 'spray' || !feeds || lines.some(({ line }) => line.figures?.carrierFrom?.text.trim()))
    return []
  const perThousand =
    (method.carrier.value * rateUnitParts(method.carrier.unit).factor * SQUARE_METRES_PER['1000 ft2']) /
    CUBIC_METRES_PER.gal
  if (perThousand >= LEAF_FEED_WATER * (1 - 1e-9)) return []
  return [
    {
      level: 'warn',
      code: 'little-water',
      source: `house rule, ${LEAF_FEED_WATER} gal/1000 ft2`,
      message: `${formatFigure(perThousand)} gal/1000 ft2 is little water for feed on the leaf: it may burn.`,
      remedies: [{ label: 'Look at the calibration', path: 'spray.calibration.speed' }],
    },
  ]
}
