import type { KeptCalibration } from '../calibration/calibrationInForce'
import { dayText } from '../calendar/dayText'
import { DEFAULT_HOUSE, type House } from '../house'
import { sameContent } from '../sameContent'
import type { ApplicationDocument, LawnNote } from './document'
import { inForceFor, lawnFromArea, noteFromLabel, type KeptArea, type KeptProduct } from './fromRooms'
import type { SheetCheck } from './sheetCheck'

/** What stands in the rooms now of what a job was copied from. */
export interface RoomsNow {
  readonly areas: readonly KeptArea[]
  readonly products: readonly KeptProduct[]
  /** Calibrations of the equipment that the job names; undefined where it is not a saved one. */
  readonly calibrations: readonly KeptCalibration[] | undefined
}

/**
 * Where a job no longer says what the rooms say: sizes, labels and calibrations that were changed since. A
 * job keeps what it was planned with; each check offers the replan as its remedy.
 * @param day the day of the job, YYYY-MM-DD
 */
export function sourceChecks(
  document: ApplicationDocument,
  rooms: RoomsNow,
  day: string,
  house: House = DEFAULT_HOUSE,
): readonly SheetCheck[] {
  return [
    ...areaChecks(document, rooms),
    ...labelChecks(document, rooms),
    ...calibrationChecks(document, rooms, day, house),
  ]
}

function areaChecks({ lawns }: ApplicationDocument, { areas }: RoomsNow): readonly SheetCheck[] {
  return lawns.flatMap((lawn, index): SheetCheck[] => {
    const area = lawn.source && areas.find(({ id }) => id === lawn.source?.id)
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
const measuredAs = ({ name, instrument, tool, parts, slope }: LawnNote) => ({
  name,
  instrument,
  ...(tool && { tool }),
  slope,
  parts: parts.map(({ place: _, ...part }) => part),
})

function labelChecks({ products }: ApplicationDocument, rooms: RoomsNow): readonly SheetCheck[] {
  return products.flatMap((note, index): SheetCheck[] => {
    const kept = note.source && rooms.products.find(({ id }) => id === note.source?.id)
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

function calibrationChecks(
  document: ApplicationDocument,
  { calibrations }: RoomsNow,
  day: string,
  house: House,
): readonly SheetCheck[] {
  const { method } = document
  const { source } = document[method].calibration
  const now = calibrations && source && inForceFor(calibrations, document, day, house)
  if (
    !now ||
    !source ||
    (now.id === source.id && now.version <= source.version) ||
    now.document.kind !== method
  )
    return []
  const { source: _, ...course } = document[method].calibration
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
