/** The pages of this place, which come together. */
export { default as YardPage } from './YardPage';
