import { nutrientRangeText, nutrientText } from '../quantity/nutrientText'
import { dayText } from '../calendar/dayText'
import type { GrassName } from '../ground/grasses'
import { daysAfter, daysBetween } from '../calendar/daysBetween'
import { daysOf } from '../label/read/readLine'
import { formatFigure } from '../quantity/format'
import type { Entered } from '../quantity/entered'
import { rateUnitParts } from '../quantity/rateUnit'
import { isOver, isUnder } from '../quantity/tolerance'
import { ownFromLine } from '../draft/fromLibrary'
import { BARRIER_DAYS, ESTABLISHED_DAYS } from '../season/lasting'
import { nitrogenOfYear, type LawnNitrogen } from './nutrientYear'
import {
  densityOf,
  leaveOut,
  namesOf,
  plannedWords,
  type VisitedArea,
  type RuleVisit,
  type VisitedProduct,
} from './visit'
import type { Remedy, Check } from './check'
import type { Rule } from './rule'

function grassChecks(line: VisitedProduct, { lawns }: RuleVisit): readonly Check[] {
  const { harms = [] } = line.product.document
  const named = line.line.grasses ?? []
  const grassesOf = ({ area }: VisitedArea) => area.document.grass.map(({ species }) => species)
  const harmed = lawns.filter((lawn) => grassesOf(lawn).some((grass) => harms.includes(grass)))
  const unnamed =
    named.length === 0
      ? []
      : lawns.filter(
          (lawn) =>
            !harmed.includes(lawn) &&
            !lawn.own.some(({ id }) => id === line.note.id) &&
            grassesOf(lawn).some((grass) => !named.includes(grass)),
        )
  const [one, other] = [
    harmed[0] && grassesOf(harmed[0]).find((grass) => harms.includes(grass)),
    unnamed[0] && grassesOf(unnamed[0]).find((grass) => !named.includes(grass)),
  ]
  return [
    ...(one
      ? [
          {
            level: 'stop' as const,
            code: 'grass-harmed' as const,
            productId: line.note.id,
            source: 'label, grasses it may harm',
            message: `${line.product.name} may harm ${one}, which grows on ${namesOf(harmed)}.`,
            remedies: leaveOut(harmed),
          },
        ]
      : []),
    ...(other
      ? [
          {
            level: 'warn' as const,
            code: 'grass-not-named' as const,
            productId: line.note.id,
            source: 'label, grasses of this line',
            message: `This line is for ${named.join(', ')}; on ${namesOf(unnamed)} grows ${other}.`,
            remedies: [
              ...otherLines(line, unnamed),
              { label: 'Choose another line', path: `products.${line.index}.rate` },
              ...leaveOut(unnamed),
            ],
          },
        ]
      : []),
  ]
}

/** The label's own rate for the grass of a lawn, as that lawn's rate. */
function otherLines(
  { product, note, line }: VisitedProduct,
  lawns: readonly VisitedArea[],
): readonly Remedy[] {
  return lawns.slice(0, 3).flatMap(({ index, area, lawn }): readonly Remedy[] => {
    const grasses = area.document.grass.map(({ species }) => species)
    const fitting = product.document.lines.find(
      (one) =>
        one.id !== line.id &&
        one.basis === note.basis &&
        one.grasses?.length &&
        grasses.every((grass) => one.grasses?.includes(grass)),
    )
    if (!fitting) return []
    const { rate } = ownFromLine(note.id, fitting)
    return [
      {
        label: `${area.name} at ${rate.text} ${rate.unit}, its line on the label`,
        path: `lawns.${index}.own`,
        value: [...(lawn.own ?? []).filter((one) => one.product !== note.id), ownFromLine(note.id, fitting)],
      },
    ]
  })
}

/** A rate printed for turf in one state, on turf that was noted to be in another. */
function growthChecks(
  { line, note, product, index }: VisitedProduct,
  { draft }: RuleVisit,
): readonly Check[] {
  const [growth, turf] = [line.growth ?? '', draft.day?.turf ?? '']
  if (growth === '' || turf === '' || growth === turf) return []
  return [
    {
      level: 'warn',
      code: 'other-growth',
      productId: note.id,
      source: 'label, growth state of this line',
      message: `This rate of ${product.name} is for turf that is ${growth}; it is ${turf} now.`,
      remedies: [{ label: 'Choose another line', path: `products.${index}.rate` }],
    },
  ]
}

/** The last sowing up to a day, the first of all or a later one over it, with what was sown. */
function lastSown(
  { area: { document } }: VisitedArea,
  day: string,
): { readonly on: string; readonly grasses: readonly GrassName[] } | undefined {
  const { established, overseeding, overseedWith = [], grass } = document
  return [
    { on: established, grasses: grass.map(({ species }) => species) },
    { on: overseeding, grasses: overseedWith },
  ]
    .filter(({ on }) => on !== '' && on <= day)
    .toSorted((a, b) => (a.on < b.on ? 1 : -1))[0]
}

/**
 * Sown before and to be sown after: the label's own days, else what is usual for a pre-emergent; not for
 * grasses that the label spares.
 */
function seedChecks(line: VisitedProduct, { lawns, day }: RuleVisit): readonly Check[] {
  const { seedAfter, seedBefore, lasts } = line.says.figures
  const prevents = line.product.document.kind === 'pre-emergent herbicide'
  const kept = seedBefore ?? (prevents ? lasts : undefined)
  const [printedAfter, printedBefore] = [seedAfter && daysOf(seedAfter), kept && daysOf(kept)]
  const after = printedAfter ?? (prevents ? ESTABLISHED_DAYS : undefined)
  const before = printedBefore ?? (prevents ? BARRIER_DAYS : undefined)
  const spares = (grasses: readonly GrassName[]) =>
    grasses.length > 0 && grasses.every((grass) => line.line.sparesSown?.includes(grass))
  const young =
    after === undefined
      ? []
      : lawns.flatMap((lawn) => {
          const last = lastSown(lawn, day)
          return last && daysBetween(last.on, day) < after && !spares(last.grasses)
            ? [{ ...lawn, sownOn: last.on }]
            : []
        })
  const sown =
    before === undefined
      ? []
      : lawns.filter(
          ({
            area: {
              document: { overseeding, overseedWith = [] },
            },
          }) =>
            overseeding !== '' &&
            overseeding >= day &&
            daysBetween(day, overseeding) < before &&
            !spares(overseedWith),
        )
  const source = (own: number | undefined) => (own !== undefined ? 'label' : 'trade practice')
  const [youngest, next] = [young.toSorted((a, b) => (a.sownOn < b.sownOn ? 1 : -1))[0], sown[0]]
  return [
    ...(youngest && after !== undefined
      ? [
          {
            level: printedAfter !== undefined ? ('stop' as const) : ('warn' as const),
            code: 'seeding' as const,
            productId: line.note.id,
            source: source(printedAfter),
            remedies: leaveOut(young),
            message:
              `${namesOf(young)} was sown on ${dayText(youngest.sownOn)}: ` +
              `${line.product.name} waits ${after} days, until ` +
              `${dayText(daysAfter(youngest.sownOn, Math.ceil(after)))}.`,
          },
        ]
      : []),
    ...(next && before !== undefined
      ? [
          {
            level: 'stop' as const,
            code: 'seeding' as const,
            productId: line.note.id,
            source: source(printedBefore),
            remedies: leaveOut(sown),
            message:
              `${namesOf(sown)} is to be seeded on ${dayText(next.area.document.overseeding)}: ` +
              `${line.product.name} would keep the seed down for ${before} days.`,
          },
        ]
      : []),
  ]
}

/**
 * A rate printed for one way of applying means nothing for another; the volume of spray stays within what is
 * printed.
 */
function methodChecks(line: VisitedProduct, { draft, request }: RuleVisit): readonly Check[] {
  const { method = '' } = line.line
  const way =
    draft.method === 'spread' ? 'spread' : draft.spray.calibration.by === 'hose-end' ? 'hose-end' : 'tank'
  const checks: Check[] = []
  if (method !== '' && method !== 'by hand' && method !== way) {
    checks.push({
      level: 'stop',
      code: 'other-method',
      productId: line.note.id,
      source: 'label, way of applying',
      message:
        `This rate of ${line.product.name} is printed for ` +
        `${method === 'tank' ? 'a tank' : method === 'spread' ? 'spreading dry' : 'a hose end'}, not for ` +
        `${way === 'tank' ? 'a tank' : way === 'spread' ? 'spreading dry' : 'a hose end'}.`,
      remedies: [{ label: 'Choose another line', path: `products.${line.index}.rate` }],
    })
  }
  if (request.method.kind !== 'spray' || way !== 'tank') return checks
  const inSi = (name: 'carrierFrom' | 'carrierTo') => {
    const read = line.says.figures[name]
    return read && { told: `${read.value} ${read.unit}`, si: read.value * rateUnitParts(read.unit).factor }
  }
  const now = request.method.carrier.value * rateUnitParts(request.method.carrier.unit).factor
  const [from, to] = [inSi('carrierFrom'), inSi('carrierTo')]
  const off =
    from && isUnder(now, from.si)
      ? `less than the label's ${from.told}`
      : to && isOver(now, to.si)
        ? `more than the label's ${to.told}`
        : undefined
  if (off)
    checks.push({
      level: 'warn',
      code: 'spray-volume',
      productId: line.note.id,
      source: 'label, volume of spray',
      message:
        `${formatFigure(request.method.carrier.value)} ${request.method.carrier.unit} of spray is ${off} ` +
        `for ${line.product.name}.`,
      remedies: [{ label: 'Look at the calibration', path: 'spray.calibration.speed' }],
    })
  return checks
}

/**
 * What the label asks for around the work, in the order in which it is done: a reminder on the sheet and on
 * paper.
 */
function labelReminders({ line, note, product }: VisitedProduct, { draft }: RuleVisit): readonly Check[] {
  const { waterDepth, waterWithin, rainfast, mowBefore, mowAfter, rakeAfter, windMost, buffer, lead } =
    line.figures ?? {}
  const told = (entered: Entered | undefined, words: (figure: string) => string): readonly string[] =>
    entered?.text.trim() ? [words(`${entered.text.trim()} ${entered.unit}`)] : []
  const words = [
    ...told(mowBefore, (time) => `no mowing for ${time} before`),
    ...told(windMost, (speed) => `wind up to ${speed}`),
    ...told(buffer, (width) => `${width} from water`),
    ...told(
      waterDepth,
      (depth) => `water in by ${depth}${told(waterWithin, (time) => ` within ${time}`).join('')}`,
    ),
    ...told(rainfast, (time) => `no rain or water for ${time}`),
    ...told(mowAfter, (time) => `no mowing for ${time} after`),
    ...told(rakeAfter, (time) => `no raking or coring for ${time}`),
    ...told(lead, (time) => `works after ${time}`),
    ...(product.document.restrictions?.trim()
      ? [product.document.restrictions.trim().replace(/\.$/, '')]
      : []),
  ]
  const dry = waterDepth?.text.trim() && !draft.fate?.water.trim()
  return words.length === 0
    ? []
    : [
        {
          level: 'note',
          code: 'label-says',
          productId: note.id,
          source: 'label',
          message: `${product.name}: ${words.join('; ')}.`,
          remedies: dry ? [{ label: 'Say what waters it in', path: 'fate.water' }] : [],
        },
      ]
}

/** Nitrogen of the year with this job over what the grass wants. */
function nitrogenYear(context: RuleVisit): readonly Check[] {
  const years = nitrogenOfYear(context)
  const found = years
    .filter(({ now, state }) => now > 0 && state === 'over')
    .toSorted((a, b) => b.laid - a.laid)
  const [worst] = found
  if (!worst) return notCounted(years, context)
  const { units } = context.request
  const told = (perArea: number | undefined) => nutrientText(perArea ?? 0, 'N', units)
  const lawns = found.map(({ lawn }) => lawn)
  return [
    {
      level: 'warn',
      code: 'nitrogen-over-year',
      working: `nitrogen.${worst.lawn.area.id}`,
      source: `grass, ${nutrientRangeText(worst.wanted ?? [0, 0], 'N', units)} a year`,
      remedies: leaveOut(lawns),
      message:
        `${told(worst.laid)} on ${namesOf(lawns)} this year${plannedWords(worst.year)}; ` +
        `${told(worst.now)} more ` +
        'is over what its grass wants.',
    },
  ]
}

/** What can't be counted is said, never taken as nothing. */
function notCounted(years: readonly LawnNitrogen[], context: RuleVisit): readonly Check[] {
  const feeds = context.request.products.some(({ analysis }) => (analysis?.n ?? 0) > 0)
  const found = feeds ? years.filter(({ unknown, wanted }) => wanted && unknown.length > 0) : []
  const [first] = found
  if (!first) return []
  return [
    {
      level: 'warn',
      code: 'nitrogen-not-known',
      working: `nitrogen.${first.lawn.area.id}`,
      source: 'the labels, without a density',
      remedies: densityOf(context, first.unknown),
      message:
        `How much nitrogen ${[...new Set(first.unknown)].join(' and ')} bring to ` +
        `${namesOf(found.map(({ lawn }) => lawn))} is not known: this year’s nitrogen can’t be held ` +
        'against what the grass wants.',
    },
  ]
}

export const TURF_RULES: readonly Rule[] = [
  {
    needs: 'visit',
    codes: ['grass-harmed', 'grass-not-named'],
    level: 'stop where it may harm, else warn',
    looksAt: 'the grasses of each area against the label',
    limit: 'none',
    source: 'label',
    find: (visit) => visit.lines.flatMap((line) => grassChecks(line, visit)),
  },
  {
    needs: 'visit',
    codes: ['seeding'],
    level: 'stop; before seed by the house default warn',
    looksAt: 'days since sowing, and until seed is to follow',
    limit: `the label’s; else ${ESTABLISHED_DAYS} days of age, ${BARRIER_DAYS} days before seed`,
    source: 'label, trade practice',
    find: (visit) => visit.lines.flatMap((line) => seedChecks(line, visit)),
  },
  {
    needs: 'visit',
    codes: ['other-method', 'spray-volume'],
    level: 'stop; for the volume warn',
    looksAt: 'how it is put down and in how much spray',
    limit: 'the label’s line',
    source: 'label',
    find: (visit) => visit.lines.flatMap((line) => methodChecks(line, visit)),
  },
  {
    needs: 'visit',
    codes: ['label-says'],
    level: 'note',
    looksAt: 'what the label asks for around the work',
    limit: 'none',
    source: 'label',
    find: (visit) => visit.lines.flatMap((line) => labelReminders(line, visit)),
  },
  {
    needs: 'visit',
    codes: ['other-growth'],
    level: 'warn',
    looksAt: 'the growth state that the rate is printed for',
    limit: 'none',
    source: 'label',
    find: (visit) => visit.lines.flatMap((line) => growthChecks(line, visit)),
  },
  {
    needs: 'visit',
    codes: ['nitrogen-over-year', 'nitrogen-not-known'],
    level: 'warn',
    looksAt: 'nitrogen of the year, by the size each area had, planned work counted',
    limit: 'what the grass wants',
    source: 'grass',
    find: nitrogenYear,
  },
]
