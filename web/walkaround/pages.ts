/** The pages of this place, which come together. */
export { default as ChecksPage } from './ChecksPage';
export { default as FindingPage } from './FindingPage';
export { default as FoundPage } from './FoundPage';
export { default as GreaseRoundPage } from './GreaseRoundPage';
export { default as LabelsPage } from './LabelsPage';
export { default as LookPage } from './LookPage';
export { default as RoundPage } from './RoundPage';
export { default as StartPage } from './StartPage';
export { default as WalkaroundPage } from './WalkaroundPage';
