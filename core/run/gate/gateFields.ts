import { figureField, type FieldTable } from '../../quantity/figureField'

/** What is read before a run. */
export const GATE_FIELDS = {
  wind: figureField('speed', 'zero-too', 'Wind'),
  gust: figureField('speed', 'zero-too', 'Gusts'),
  air: figureField('temperature', 'any-sign', 'Air'),
  soil: figureField('temperature', 'any-sign', 'Soil'),
  rainIn: figureField('time', 'zero-too', 'Rain in', { label: 'Rain told in', units: ['h', 'min', 'd'] }),
  rained: figureField('length', 'zero-too', 'Rain since yesterday', { units: ['in', 'mm'] }),
  mown: figureField('time', 'zero-too', 'Mown', { label: 'Mown ago', units: ['h', 'd'] }),
} as const satisfies FieldTable
