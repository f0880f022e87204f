/** The pages of this place, which come together. */
export { default as AccountPage } from './AccountPage';
export { default as PeoplePage } from './PeoplePage';
