/** The pages of this place, which come together. */
export { default as BenchPage } from './BenchPage';
export { default as JobPage } from './JobPage';
export { default as NewJobPage } from './NewJobPage';
export { default as SignOffPage } from './SignOffPage';
export { default as StepPage } from './StepPage';
