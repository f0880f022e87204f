/** The pages of this place, which come together. */
export { default as LogbookPage } from './LogbookPage';
