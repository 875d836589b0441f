import type { Schemas } from '../../api/client'

/** A copy of a design where it lies. */
export type Copy = Schemas['LaidCopy']
/** The layout of a line as it is looked at. */
export type Layout = Schemas['LineLayoutView']
