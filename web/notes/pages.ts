/** The pages of this place, which come together. */
export { default as WaitingPage } from './WaitingPage';
