/** The pages of this place, which come together. */
export { default as ComputerPage } from './ComputerPage';
export { default as DoorSheetPage } from './DoorSheetPage';
