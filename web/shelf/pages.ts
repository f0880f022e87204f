/** The pages of this place, which come together. */
export { default as CodePage } from './CodePage';
export { default as CounterPage } from './CounterPage';
export { default as KeptLeaf } from './KeptLeaf';
export { default as ListPage } from './ListPage';
export { default as OrdersLeaf } from './OrdersLeaf';
export { default as ReadyLeaf } from './ReadyLeaf';
export { default as ScanPage } from './ScanPage';
export { default as ShelfLabelsPage } from './ShelfLabelsPage';
export { default as ShelfLeaves } from './ShelfLeaves';
export { default as SupplyFormPage } from './SupplyFormPage';
export { default as SupplyPage } from './SupplyPage';
export { default as UsedLeaf } from './UsedLeaf';
