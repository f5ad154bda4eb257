import { figureField, type FieldTable } from '../../quantity/figureField'

/** A set-up that is tried beside the job's own. */
export const SET_UP_FIELDS = {
  apart: figureField('length', 'above-zero', 'Lanes apart'),
  speed: figureField('speed', 'above-zero', 'Pace'),
  wander: figureField('length', 'zero-too', 'Wander', { label: 'Off the lane, ±' }),
  speedSd: figureField('percent', 'zero-too', 'Change of pace', { label: 'Pace, ±' }),
  lag: figureField('length', 'zero-too', 'Gate lag', { label: 'Gate opens late by' }),
} as const satisfies FieldTable
