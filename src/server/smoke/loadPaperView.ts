import Joi from 'joi';
import type { Happening } from '@/core/dayBook/dayBook';
import { entriesOf } from '@/core/dayBook/dayBook';
import { planOf } from '@/core/order/standing';
import { success } from '@/core/quantity/result';
import { formatWeight, type Weight } from '@/core/quantity/weight';
import type { LoadPaper } from '@/core/smokehouse/loadPaper';
import { clockIn, momentWords } from '@/core/time/shopTime';
import { allUsers } from '@/data/people';
import { readShop } from '@/data/setUp';
import { id } from '../house/fields';
import { defineUseCase, STAFF } from '../house/useCase';
import { pieceOf } from './pieces';
import { loadIn } from './subjects';

const MINUTE_MS = 60_000;

/** A load for the file: its plan, its curve, its pieces, and everything that was done and said. */
export const loadPaperView = defineUseCase<{ loadId: string }, LoadPaper>({
  name: 'loadPaperView',
  roles: STAFF,
  writes: false,
  input: Joi.object({ loadId: id }),
  run: async (house, { loadId }) => {
    const found = await loadIn(house, loadId);
    if (!found.ok) return found;
    const { load, events, standing, readings, files } = found.value;
    const { name, zone, unit } = await readShop(house.db);
    const show = (net: Weight | null) => (net === null ? '–' : `${formatWeight(net, unit)} ${unit}`);
    const hour = (minute: number) =>
      standing.lit
        ? clockIn(zone, new Date(Date.parse(standing.lit.at) + minute * MINUTE_MS).toISOString())
        : '–';
    const pieces = standing.pieces.flatMap(({ weighingId, trolley, smoked }) => {
      const file = files.find(({ weighings }) => weighings.some((each) => each.id === weighingId));
      const piece = file?.weighings.find((each) => each.id === weighingId);
      const line = piece && planOf(file!).expected.lines.find(({ key }) => key === piece.lineKey);
      if (!file || !piece || !line) return [];
      const { name: owner, cut, green, pumped, drained, cure } = pieceOf(house, file, { line, piece });
      return [
        {
          words: `${owner}, ${cut.toLowerCase()}${trolley === '' ? '' : `, trolley ${trolley}`}`,
          weights: [show(green), show(drained ?? pumped ?? green), show(smoked)] as const,
          ppm: cure ? `${Math.round(cure.ppm)} of ${cure.limit}` : '–',
        },
      ];
    });
    const names = new Map((await allUsers(house.db)).map((user) => [user.id, user.name]));
    const happened: Happening[] = events.map((deed) => ({
      of: 'load',
      ...{ at: deed.at, actorId: deed.actorId, lot: load.lot, deed },
    }));
    return success({
      shop: name,
      lot: load.lot,
      plan: load.plan.name,
      unit,
      state:
        standing.held.length > 0
          ? `Held: ${standing.held.join(' ')}`
          : standing.released !== ''
            ? `Released: ${standing.released}.`
            : standing.ended
              ? 'It kept its plan.'
              : 'It is not out yet.',
      readings: readings.map(({ minute, degrees }) => [minute, degrees] as const),
      posts: standing.posts.map(
        ({ words, by, met, state }) =>
          `${words}: ${state}${met === null ? '' : ` at ${hour(met)}`}${by === null ? '' : `, by ${hour(by)}`}`,
      ),
      pieces,
      said: entriesOf(happened, { unit, names })
        .sort((a, b) => (a.at < b.at ? -1 : 1))
        .map(({ at, words, by }) => `${momentWords(zone, at)}, ${by.join(' and ')}: ${words}`),
    });
  },
});
