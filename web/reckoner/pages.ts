/** The pages of this place, which come together. */
export { default as CalculatorPage } from './CalculatorPage';
export { default as ReckonerPage } from './ReckonerPage';
