import { dayText } from '../calendar/dayText'
import type { CurveDial } from '../draft/dial'
import { formatDeviation } from '../quantity/format'
import { isRateReached, SETTING_TOLERANCE } from '../quantity/tolerance'
import type { Check } from './check'
import type { RuleReading } from './reading'
import type { Rule } from './rule'

/**
 * What must be known of the dial's answer: that it is read off the curve, that a setting chosen by hand gives
 * another rate, that a number is only the package's.
 * Source: trade.md 3, asking the curve.
 */
function dialFindings({ draft, dial, wantedPerPass }: RuleReading): readonly Check[] {
  const [product] = draft.products
  if (!dial || !product) return []
  const productId = product.id
  if (dial.from === 'printed')
    return [
      {
        level: 'note',
        code: 'dial-printed',
        productId,
        source: 'the package, a guess',
        message:
          `${product.name} prints a setting for ${draft.spread.equipment}; ${dial.setting} is somebody ` +
          "else's number, good to begin calibrating with.",
        remedies: [
          { label: `Begin at ${dial.setting}`, path: 'spread.calibration.setting', value: dial.setting },
        ],
      },
    ]
  const base = { code: 'dial-from-curve', source: 'the spreader’s curve', productId } as const
  if (dial.from === 'curve')
    return [
      {
        ...base,
        level: 'note',
        message:
          `Setting ${dial.setting} is read off the curve${told(dial.byCurve)}: weigh back after the ` +
          'first lanes.',
        remedies: [],
      },
    ]
  if (dial.from !== 'hand' || wantedPerPass === undefined) return []
  const remedies = dial.byCurve
    ? [{ label: `Set the dial to ${dial.byCurve.setting}`, path: 'spread.dial', value: '' }]
    : [{ label: 'Take the calibrated setting', path: 'spread.dial', value: '' }]
  if (dial.perPass === undefined)
    return [
      {
        ...base,
        level: 'warn',
        message: dial.byCurve
          ? `Setting ${dial.setting} lies beyond what was tested: the curve says ${dial.byCurve.setting} ` +
            'for ' +
            `this rate${told(dial.byCurve)}.`
          : `Setting ${dial.setting} was never tested: what it gives is not known.`,
        remedies,
      },
    ]
  if (isRateReached(dial.perPass, wantedPerPass)) return []
  return [
    {
      ...base,
      level: 'warn',
      message:
        `Setting ${dial.setting} gives ${formatDeviation(dial.perPass / wantedPerPass - 1)} against ` +
        'what each ' +
        `pass needs${dial.byCurve ? `; ${dial.byCurve.setting} would be right${told(dial.byCurve)}` : ''}.`,
      remedies,
    },
  ]
}

const told = (curve: CurveDial | undefined): string =>
  curve
    ? `${curve.doubt === undefined ? '' : `, ${(200 * curve.doubt).toFixed(0)} % either way`}, last ` +
      'tested ' +
      dayText(curve.newest)
    : ''

export const DIAL_RULES: readonly Rule[] = [
  {
    needs: 'reading',
    codes: ['dial-from-curve', 'dial-printed'],
    level: 'note; warn where a setting chosen by hand gives another rate',
    looksAt: 'where the dial of the day comes from, and what it gives in one pass',
    limit: `${SETTING_TOLERANCE * 100} %`,
    source: 'the spreader’s curve, the package',
    find: dialFindings,
  },
]
