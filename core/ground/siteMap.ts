import { fieldReader, type FieldProblem } from '../quantity/fieldReader'
import { closedWorkingBook, type WorkingBook } from '../working/working'
import type { AreaDocument } from './areaShape'
import type { WrittenArea } from './files/writeGround'
import { placesOf, siteLayout, type SiteLayout, type MapShape } from './siteLayout'
import type { Point } from './plane'
import { readFieldNotes, type MeasuredGround } from './readFieldNotes'
import { groundOf, samplePoints } from './samplePoints'

export interface SiteArea {
  readonly id: string
  readonly name: string
  readonly document: AreaDocument
}

/** An area measured, with its ground on the plan. */
export interface MappedArea extends MeasuredGround {
  readonly id: string
  readonly name: string
  readonly problems: readonly FieldProblem[]
  readonly shapes: readonly MapShape[]
  /** True when all its ground lies where it is; false when some is known only by its dimensions. */
  readonly located: boolean
  readonly samples: readonly Point[]
}

export interface SiteMapReading {
  readonly areas: readonly MappedArea[]
  readonly layout: SiteLayout
}

/** All areas of a site, measured for a day and laid on one plan. @param day YYYY-MM-DD */
export function readSiteMap(
  areas: readonly SiteArea[],
  day: string,
  book: WorkingBook = closedWorkingBook,
): SiteMapReading {
  const measured = areas.map(({ id, name, document }) => {
    const fields = fieldReader()
    return {
      id,
      name,
      document,
      problems: fields.problems,
      ...readFieldNotes(
        document,
        { path: 'document', name: name || 'this area', figure: `areas.${id}.size`, day },
        fields,
        book,
      ),
    }
  })
  const layout = siteLayout(
    measured.map(({ id, name, parts, document }) => ({ id, name, parts, places: placesOf(document.parts) })),
  )
  return {
    layout,
    areas: measured.map(({ document, ...area }) => {
      const shapes = layout.shapes.filter(({ lawnId }) => lawnId === area.id)
      const adds = shapes.filter(({ sign }) => sign === 'add')
      const { samples } = document
      return {
        ...area,
        shapes,
        located: adds.length > 0 && adds.every(({ place }) => place === undefined),
        samples: samples ? samplePoints(groundOf(shapes), Number(samples.count) || 0, samples.seed) : [],
      }
    }),
  }
}

/** The areas of a plan that a map program can take: measured, and with ground that lies where it is. */
export const writtenAreas = ({ areas }: SiteMapReading): readonly WrittenArea[] =>
  areas.flatMap(({ id, name, size, sd, outlines, located, samples }) =>
    size !== undefined && sd !== undefined && outlines && outlines.net.length > 0
      ? [{ id, name, net: outlines.net, sizeM2: size, sdM2: sd, samples: located ? samples : [] }]
      : [],
  )
