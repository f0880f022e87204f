/** The pages of this place, which come together. */
export { default as PlateLeaf } from './PlateLeaf';
