import * as Comlink from 'comlink'
import { workOutGround } from '#core/ground/workOutGround'

/** Large outlines are joined and cut here, away from the page. */
const work = { workOutGround }

export type LargeGroundWork = typeof work
Comlink.expose(work)
