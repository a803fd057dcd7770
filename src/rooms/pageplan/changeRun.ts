import type { Run } from '@/core/book'

/** A change of a run, worked out of the run as the store has it when it is written. */
export type ChangeRun = (label: string, next: (r: Run) => Partial<Run>, merge?: boolean) => Promise<boolean>
