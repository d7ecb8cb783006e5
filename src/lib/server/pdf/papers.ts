/** Every paper in one place: loaded when the first is asked for. */
export { paperPdf } from './paper-sheet.ts';
export { planPdf } from './plan.ts';
export { quotePdf } from './quote.ts';
export { shoppingPdf } from './shopping.ts';
export { sizingHoles } from './sizing-holes.ts';
