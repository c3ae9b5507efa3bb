export { drawLabel } from './label';
export { statementPdf } from './statement';
