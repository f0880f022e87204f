/** The pages of this place, which come together. */
export { default as CompartmentBookPage } from './CompartmentBookPage';
export { default as CompartmentLeaf } from './CompartmentLeaf';
export { default as FluidsLeaf } from './FluidsLeaf';
export { default as PastePage } from './PastePage';
export { default as SisterPage } from './SisterPage';
