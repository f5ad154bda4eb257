import { dayText } from '../calendar/dayText'
import { sameContent } from '../sameContent'
import type { AreaDraft } from '../draft/applicationShape'
import { inForceFor, lawnFromArea, noteFromLabel } from '../draft/fromLibrary'
import type { Check } from './check'
import type { Rule } from './rule'
import type { RuleReading } from './reading'

function areaChecks({ draft: { lawns }, library }: RuleReading): readonly Check[] {
  return lawns.flatMap((lawn, index): Check[] => {
    const area = lawn.source && library?.areas.find(({ id }) => id === lawn.source?.id)
    if (!lawn.source || !area) return []
    const now = { ...lawnFromArea(area, lawn.treated), ...(lawn.own && { own: lawn.own }) }
    if (sameContent(measuredAs(lawn), measuredAs(now))) return []
    const newer = area.version > lawn.source.version
    return [
      {
        level: newer ? 'warn' : 'note',
        code: 'size-changed',
        source: newer ? 'the site, changed since' : 'the site',
        message: newer
          ? `${area.name} was measured or described anew since this job took its size.`
          : `${lawn.name || area.name} differs here from what the site says.`,
        remedies: [
          {
            label: newer ? 'Replan with the new size' : 'Take the site’s',
            path: `lawns.${index}`,
            value: now,
          },
        ],
      },
    ]
  })
}

/** What a lawn's size depends on; where its pieces are shown on the plan does not count. */
const measuredAs = ({ name, instrument, tool, parts, slope }: AreaDraft) => ({
  name,
  instrument,
  ...(tool && { tool }),
  slope,
  parts: parts.map(({ place: _, ...part }) => part),
})

function labelChecks({ draft: { products }, library }: RuleReading): readonly Check[] {
  return products.flatMap((note, index): Check[] => {
    const kept = note.source && library?.products.find(({ id }) => id === note.source?.id)
    const line = kept?.document.lines.find(({ id }) => id === note.source?.line)
    if (!note.source || !kept || !line || kept.version <= note.source.version) return []
    const now = { ...noteFromLabel(kept, line, note.id, note.step), rate: note.rate }
    const withoutSource = ({ source: _, ...rest }: typeof note) => rest
    if (sameContent(withoutSource(note), withoutSource(now))) return []
    return [
      {
        level: 'warn',
        code: 'label-changed',
        productId: note.id,
        source: 'the product, changed since',
        message: `The label of ${kept.name} was changed since this job took it.`,
        remedies: [{ label: 'Replan with the new label', path: `products.${index}`, value: now }],
      },
    ]
  })
}

function calibrationChecks({ draft, day, house, library }: RuleReading): readonly Check[] {
  const { method } = draft
  const { source } = draft[method].calibration
  const calibrations = library?.calibrations
  const now = calibrations && source && inForceFor(calibrations, draft, day, house)
  if (
    !now ||
    !source ||
    (now.id === source.id && now.version <= source.version) ||
    now.document.kind !== method
  )
    return []
  const { source: _, ...course } = draft[method].calibration
  if (sameContent(course, now.document.course)) return []
  return [
    {
      level: 'note',
      code: 'calibration-newer',
      source: 'the equipment',
      message: `The calibration in force is now that of ${dayText(now.document.course.on)}.`,
      remedies: [
        {
          label: 'Work by it',
          path: `${method}.calibration`,
          value: { ...now.document.course, source: { id: now.id, version: now.version } },
        },
      ],
    },
  ]
}

export const LIBRARY_RULES: readonly Rule[] = [
  {
    needs: 'reading',
    codes: ['size-changed'],
    level: 'warn where it was measured anew, else note',
    looksAt: 'whether areas still are what the site says',
    limit: 'none',
    source: 'the site',
    find: areaChecks,
  },
  {
    needs: 'reading',
    codes: ['label-changed'],
    level: 'warn',
    looksAt: 'whether labels still are what the product says',
    limit: 'none',
    source: 'the product',
    find: labelChecks,
  },
  {
    needs: 'reading',
    codes: ['calibration-newer'],
    level: 'note',
    looksAt: 'whether a newer calibration is in force',
    limit: 'none',
    source: 'the equipment',
    find: calibrationChecks,
  },
]
