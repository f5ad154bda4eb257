import type { LawnPart } from '#core/ground/areaShape'
import type { ReadingName } from '#core/ground/methods/method'

type Shape = LawnPart['shape']

/** The ways of measuring as people look for them. */
export const METHOD_GROUPS: readonly {
  readonly name: string
  readonly shapes: readonly { readonly value: Shape; readonly text: string }[]
}[] = [
  {
    name: 'Simple shapes',
    shapes: [
      { value: 'rectangle', text: 'rectangle' },
      { value: 'triangle', text: 'triangle, base and height' },
      { value: 'three sides', text: 'triangle, three sides' },
      { value: 'two sides and angle', text: 'triangle, two sides and angle' },
      { value: 'trapezoid', text: 'trapezoid' },
      { value: 'circle', text: 'circle by diameter' },
      { value: 'circle by radius', text: 'circle by radius' },
      { value: 'circle by circumference', text: 'circle by circumference' },
      { value: 'ellipse', text: 'ellipse' },
      { value: 'sector', text: 'sector' },
      { value: 'ring', text: 'ring' },
    ],
  },
  {
    name: 'Odd shapes by tape',
    shapes: [
      { value: 'offsets', text: 'offsets from a baseline' },
      { value: 'radii', text: 'radii from a middle point' },
      { value: 'four sides and diagonal', text: 'four sides and a diagonal' },
      { value: 'triangles', text: 'split into triangles' },
    ],
  },
  { name: 'On the plan', shapes: [{ value: 'outline', text: 'outline: drawn, walked, traced, file' }] },
  { name: 'Told', shapes: [{ value: 'known', text: 'size known' }] },
]

export const READING_WORDS: Readonly<Record<ReadingName, string>> = {
  length: 'Length',
  width: 'Width',
  base: 'Base',
  height: 'Height',
  side: 'Side',
  opposite: 'Opposite side',
  diameter: 'Diameter',
  radius: 'Radius',
  circumference: 'Circumference',
  outer: 'Outer diameter',
  inner: 'Inner diameter',
  first: 'First side',
  second: 'Second side',
  third: 'Third side',
  fourth: 'Fourth side',
  diagonal: 'Diagonal',
  spacing: 'Step along the line',
}

/** How to tape the ones that need a word. */
export const METHOD_HINTS: Readonly<Partial<Record<Shape, string>>> = {
  offsets: 'Lay a tape along the middle or one edge; take the width across it at equal steps.',
  radii: 'Stand a stake near the middle; tape to the edge at equal angles all the way round.',
  'four sides and diagonal':
    'Walk round in order; the diagonal runs from the start of the first side to the end of the second.',
  triangles: 'Three sides for each triangle, one triangle after the other.',
  'two sides and angle': 'The angle between the two sides.',
}
