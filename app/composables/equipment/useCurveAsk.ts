import { dayText } from '#core/calendar/dayText'
import { daysBetween } from '#core/calendar/daysBetween'
import { askCurve, type CurveQuestion, type CurveReply } from '#core/calibration/askCurve'
import type { SpreaderDocument } from '#core/calibration/equipmentShape'
import { likeGrain } from '#core/calibration/likeGrain'
import { MARGIN, type CurveError } from '#core/calibration/settingCurve'
import { spreaderCurve } from '#core/calibration/spreaderCurve'
import type { Entered } from '#core/quantity/entered'
import { fieldReader } from '#core/quantity/fieldReader'
import { figureField } from '#core/quantity/figureField'
import { dialText } from '#core/calibration/dialText'
import { formatFigure } from '#core/quantity/format'
import { lengthSi, speedSi } from '#core/quantity/quantity'
import { rateUnitParts } from '#core/quantity/rateUnit'
import { SYSTEM_UNITS, type Shown } from '#core/quantity/systems'
import type { AreaRateUnit, SpeedUnit } from '#core/quantity/units'
import type { WorkingBook } from '#core/working/working'
import type { Calibration } from '#shared/schemas/equipment'

const REACH_WORDS = {
  tested: '',
  margin: ' It lies a little beyond the tested settings: try it on a course first.',
  guess: ' Only one setting is tested, so this is a guess: run a course at it.',
} as const

const ASK_FIELDS = {
  rate: figureField('massRate', 'above-zero', 'Rate'),
  speed: figureField('speed', 'above-zero', 'Pace'),
  swath: figureField('length', 'above-zero', 'Swath'),
}

/**
 * A question to a spreader's curve: what is asked, what is held, and the answer in words. Nothing is saved.
 */
export function useCurveAsk(calibrations: () => readonly Calibration[], spreader: () => SpreaderDocument) {
  const crew = useCrewStore()
  const library = useLibraryStore()
  const shown = useShown()
  const grained = computed(() => library.products)
  // The library says which products have like grain.
  onMounted(() => {
    library.want()
  })
  const curveFor = (product: string) =>
    spreaderCurve(calibrations(), [product, ...likeGrain(grained.value, product)], crew.today())
  const products = computed(() =>
    [
      ...new Set(
        calibrations().flatMap(({ document }) =>
          document.kind === 'spread' && document.course.product ? [document.course.product] : [],
        ),
      ),
    ].toSorted(),
  )
  const ask = reactive({
    find: 'setting' as CurveQuestion['find'],
    product:
      products.value.toSorted((a, b) => curveFor(b).curve.means.length - curveFor(a).curve.means.length)[0] ??
      '',
    passes: 2,
    setting: '',
    rate: { text: '', unit: SYSTEM_UNITS[crew.units].massRate } as Entered<AreaRateUnit>,
    speed: { text: '', unit: SYSTEM_UNITS[crew.units].speed } as Entered<SpeedUnit>,
  })
  const curve = computed(() => curveFor(ask.product))
  const alike = computed(() =>
    likeGrain(grained.value, ask.product).filter((name) => products.value.includes(name)),
  )

  /** The question as it stands, with what is wrong in it; neither while it is not whole. */
  const question = computed((): { readonly asked?: CurveQuestion; readonly problem?: string } => {
    const fields = fieldReader()
    const at = fields.of(ASK_FIELDS, '')
    const rate = at.optional('rate', ask.rate)
    const pace = at.optional('speed', ask.speed)
    const width = at.optional('swath', spreader().swath)
    const [problem] = fields.problems
    if (problem) return { problem: problem.message }
    const [speed, swath, setting] = [
      pace ? speedSi(pace) : curve.value.speed,
      width ? lengthSi(width) : curve.value.width,
      Number(ask.setting),
    ]
    if (swath === undefined) return {}
    const held = { passes: ask.passes, swath }
    const wanted = rate && rate.value * rateUnitParts(rate.unit).factor
    const dial = ask.setting.trim() !== '' && Number.isFinite(setting) && setting > 0 ? setting : undefined
    if (ask.find !== 'setting' && ask.setting.trim() !== '' && dial === undefined)
      return { problem: 'A setting is a number on the dial: 12 or 12.5.' }
    switch (ask.find) {
      case 'setting':
        return wanted && speed ? { asked: { find: 'setting', ...held, rate: wanted, speed } } : {}
      case 'rate':
        return dial && speed ? { asked: { find: 'rate', ...held, setting: dial, speed } } : {}
      case 'speed':
        return wanted && dial ? { asked: { find: 'speed', ...held, rate: wanted, setting: dial } } : {}
      default:
        return ask.find satisfies never
    }
  })
  const answer = (book: WorkingBook) =>
    question.value.asked ? askCurve(curve.value, question.value.asked, 'ask', book) : undefined

  /** The figure that was asked for, and what is to be said with it. */
  function replyWords(
    find: CurveQuestion['find'],
    { setting, rate, speed, doubt, reach, pace }: CurveReply,
  ): { readonly head: Shown; readonly tail: string } {
    const [given, going] = [shown.rate(rate, 'mass'), shown.speed(speed)]
    const head =
      find === 'setting'
        ? { figure: `Setting ${dialText(setting)}`, unit: '' }
        : find === 'rate'
          ? given
          : going
    const shares = find === 'rate' ? ` in ${ask.passes === 1 ? 'one pass' : `${ask.passes} passes`}` : ''
    const band = doubt === undefined ? '' : `, expect ${(200 * doubt).toFixed(0)} % either way`
    const far =
      pace === 'questioned'
        ? ` ${going.figure} ${going.unit} is far from the pace it was calibrated at: run a course at it.`
        : ''
    return {
      head,
      tail:
        `${shares}${band}, last tested ${dayText(curve.value.newest)}, ` +
        `${daysBetween(curve.value.newest, crew.today())} days ago.${REACH_WORDS[reach]}${far}`,
    }
  }
  return { ask, products, curve, alike, question, answer, replyWords }
}

/** Why a curve does not answer, in words. */
export function curveErrorWords(error: CurveError): string {
  switch (error.kind) {
    case 'noPoints':
      return 'Nothing with this product is calibrated with a speed and a number on the dial.'
    case 'impossible':
      return (
        `Between settings ${error.between.join(' and ')} more open lets less through: one of the two ` +
        'calibrations is wrong. Repeat them.'
      )
    case 'outside':
      return (
        `That is beyond what was tested (settings ${formatFigure(error.least.setting)} to ` +
        `${formatFigure(error.most.setting)}, and ${100 * MARGIN} % of their range): calibrate further ` +
        'out, or change passes or pace.'
      )
    default:
      return error satisfies never
  }
}
