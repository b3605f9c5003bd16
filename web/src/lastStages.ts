// What comes last in the work is not part of the first load: it comes right after it.
export { BenchPage } from './build/BenchPage';
export { BuildPage } from './build/BuildPage';
export { BuySheet } from './build/BuySheet';
export { CostSheet } from './build/CostSheet';
export { CutSheet } from './build/CutSheet';
export { OrderSheet } from './build/OrderSheet';
export { PapersSheet } from './build/PapersSheet';
export { HandoverPage } from './handover/HandoverPage';
export { PackSheet } from './handover/PackSheet';
export { PapersKeysSheet } from './handover/PapersKeysSheet';
export { TestsSheet } from './handover/TestsSheet';
export { WalkSheet } from './handover/WalkSheet';
export { LogPage } from './season/LogPage';
export { SeasonsSheet } from './season/SeasonsSheet';
