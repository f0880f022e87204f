import type { Schemas } from '../api/client';

/** A step of a job, and what was told of one. */
export type Step = Schemas['JobStep'];
export type Told = Schemas['StepTold'];
