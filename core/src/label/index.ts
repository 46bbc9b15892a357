export { codeOf, labelWords, type LabelWords } from './words.ts';
export { LABEL_SIZES, LABEL_SIZE_NAMES, type LabelSize } from './sizes.ts';
export { recordIn } from './scan.ts';
