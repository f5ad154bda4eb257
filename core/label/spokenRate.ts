import { parseQuantity } from '../quantity/parseQuantity'
import { areaIn, squareMetres } from '../quantity/quantity'
import type { UnitSystem } from '../quantity/systems'
import { SYSTEM_UNITS } from '../quantity/systems'
import { err, ok, type Result } from '../result'
import { figureText, sixDigits } from '../working/figureText'
import type { Entered } from '../quantity/entered'
import { SQUARE_METRES_PER, type AreaUnit, type RateUnit } from '../quantity/units'
import { RATE_BASIS_NAMES, type RateBasis } from './label'
import { bagRate } from './print/asRateLine'
import { readLabel } from './print/readLabel'
import type { PrintedForm } from './print/reading'

/** A rate as somebody says it at the truck, and what was made of it. */
export interface SpokenRate {
  readonly rate: Entered<RateUnit>
  readonly basis?: RateBasis
  readonly words: string
}

const USE_UP = new RegExp(
  [
    String.raw`^(?:use up|all of|the whole|finish|empty)\s+(?:(?:this|the|a|my)\s+)?`,
    String.raw`(.+?)(?:\s+(?:bag|bottle|jug|box|package))?$`,
  ].join(''),
  'i',
)

/**
 * A rate said in one of the trade's ways: a rate as printed, a target of nutrient, what a package covers, or
 * a package to be used up on this ground.
 * @param ground m2 that is treated; zero while nothing is measured
 * @returns the rate; an error says how it could be said
 * @example "use up 40 lb" on 11,764 ft2: 3.4 lb/1000 ft2
 */
export function spokenRate(
  text: string,
  ground: number,
  system: UnitSystem,
  form: PrintedForm,
): Result<SpokenRate, string> {
  const plain = text.replaceAll(/(\d),(\d{3})\b/g, '$1$2').trim()
  const package_ = USE_UP.exec(plain)
  if (package_) {
    const amount = parseQuantity(package_[1] ?? '', 'amount', SYSTEM_UNITS[system].weight)
    if (!amount.ok) return err(amount.error.message)
    if (!(ground > 0)) return err('Measure the ground first: what a package gives depends on it.')
    if (amount.value.value <= 0) return err('How much is in it? Write for example “use up 40 lb”.')
    const per: AreaUnit = SYSTEM_UNITS[system].length === 'm' ? '100 m2' : '1000 ft2'
    const rate = (amount.value.value / ground) * SQUARE_METRES_PER[per]
    return ok({
      rate: { text: sixDigits(rate), unit: `${amount.value.unit}/${per}` },
      words:
        `${figureText(amount.value)} on ` +
        `${figureText(areaIn(squareMetres(ground), SYSTEM_UNITS[system].size))} is ${sixDigits(rate)} ` +
        `${amount.value.unit}/${per}`,
    })
  }
  const { lines, asks } = readLabel(plain, form)
  const [ask] = asks
  if (ask) return err(`“${ask.text}”: ${ask.question}`)
  const [line] = lines
  const read = line && (line.rate ?? line.low ?? (line.bagCovers && bagRate(line.bagCovers)))
  const rate = read && { text: sixDigits(read.value), unit: read.unit }
  if (!rate)
    return err(
      'Say it as a rate with its unit (3.4 lb per 1,000 sq ft), as a target (0.6 lb N per 1,000 sq ' +
        'ft), as what a bag covers (40 lb covers 12,000 sq ft), or as “use up 40 lb”.',
    )
  const basis = line?.basis ?? 'product'
  return ok({
    rate,
    ...(basis !== 'product' && { basis }),
    words: `${rate.text} ${rate.unit}${basis === 'product' ? '' : ` of ${RATE_BASIS_NAMES[basis]}`}`,
  })
}
