import { paperByLink } from '@/app/paperByLink';
import { statementOf } from '@/server/work';

/** A household's statement as a PDF, by its private link. */
export const GET = paperByLink('householdStatementView', { named: 'statement', make: statementOf });
