import { block } from './block';
import { book } from './book';
import { dayBook } from './dayBook';
import { grind } from './grind';
import { hang } from './hang';
import type { UseCase } from './house/useCase';
import { learning } from './learning';
import { links } from './links';
import { people } from './people';
import { rail } from './rail';
import { settle } from './settle';
import { sheet } from './sheet';
import { smoke } from './smoke';
import { shop } from './shop';
import { ticket } from './ticket';
import { today } from './today';
import { trace } from './trace';
import { week } from './week';
import { wrap } from './wrap';
import { yields } from './yields';

/** Everything that can be asked of the house, by name, area by area. The public surface of the server. */
export const USE_CASES = {
  ...book,
  ...hang,
  ...sheet,
  ...block,
  ...wrap,
  ...grind,
  ...smoke,
  ...trace,
  ...dayBook,
  ...settle,
  ...rail,
  ...ticket,
  ...today,
  ...week,
  ...people,
  ...shop,
  ...links,
  ...yields,
  ...learning,
} as const;

export type UseCaseName = keyof typeof USE_CASES;
export type InputOf<Name extends UseCaseName> =
  (typeof USE_CASES)[Name] extends UseCase<infer Input, infer _Output> ? Input : never;
export type OutputOf<Name extends UseCaseName> =
  (typeof USE_CASES)[Name] extends UseCase<infer _Input, infer Output> ? Output : never;
