/** The pages of this place, which come together. */
export { default as AddMachinePage } from './AddMachinePage';
export { default as BookLeaf } from './BookLeaf';
export { default as ChartPage } from './ChartPage';
export { default as EditMachinePage } from './EditMachinePage';
export { default as MachineLeaves } from './MachineLeaves';
export { default as MeterPage } from './MeterPage';
export { default as NowLeaf } from './NowLeaf';
export { default as RulebookLeaf } from './RulebookLeaf';
export { default as RulePage } from './RulePage';
export { default as ServicePage } from './ServicePage';
