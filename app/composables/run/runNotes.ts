/** What can be written down beside the steps of a run. */
export type RunNoteKind = 'pause' | 'strip' | 'mishap' | 'photo' | 'words' | 'over' | 'spots'
