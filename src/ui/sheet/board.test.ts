import { frameOf, mirroredMap } from '@/core/species/sideMapPath';
import { allSpecies } from '@/core/tests/catalogue';
import { boardOf, isRoomy, rowBeside } from './board';

describe.each(allSpecies().map((species) => [species.id, species] as const))(
  'the board of a %s',
  (_, species) => {
    const board = boardOf(species.sideMap, species.decisions);

    it('has every decision once', () => {
      const rows = [...board.left, ...board.right].flatMap(({ decisions }) => decisions.map(({ id }) => id));
      expect(rows.sort()).toEqual(species.decisions.map(({ id }) => id).sort());
    });

    it('has the back at one side and the belly at the other, each from the hind end down', () => {
      for (const column of [board.left, board.right]) {
        expect(column.length).toBeGreaterThan(1);
        const heights = column.map(({ zone }) => species.sideMap.labels[zone]![1]);
        expect(heights).toEqual([...heights].sort((a, b) => a - b));
      }
      const most = (column: typeof board.left) =>
        Math.max(...column.map(({ zone }) => species.sideMap.labels[zone]![0]));
      const least = (column: typeof board.left) =>
        Math.min(...column.map(({ zone }) => species.sideMap.labels[zone]![0]));
      expect(most(board.left)).toBeLessThan(least(board.right));
    });

    it('changes its columns for a right half, which hangs mirrored', () => {
      const mirrored = mirroredMap(species.sideMap);
      const right = boardOf(mirrored, species.decisions);
      expect({ left: right.right, right: right.left }).toEqual(board);
      expect(mirroredMap(mirrored).labels).toEqual(species.sideMap.labels);
      expect(frameOf(mirrored)).toEqual(frameOf(species.sideMap));
    });

    it('leaves room for a line a row at 560 pixels, with what stands over the zones', () => {
      for (const column of [board.left, board.right]) {
        const lines = column.reduce(
          (sum, { decisions }) => sum + decisions.length + (decisions.length > 1 ? 1 : 0),
          0,
        );
        expect(lines * 19 + column.length * 4).toBeLessThanOrEqual(560);
      }
    });
  },
);

it('has higher rows where there are few of them', () => {
  const roomy = allSpecies().filter((species) => isRoomy(boardOf(species.sideMap, species.decisions)));
  const ids = roomy.map(({ id }) => id);
  expect(ids).toContain('hog');
  expect(ids).not.toContain('beef');
});

it('goes from one column to the other at the same height, and no further than its end', () => {
  const columns = [
    ['a', 'b', 'c', 'd'],
    ['e', 'f'],
  ];
  expect(rowBeside(columns, 'b', 1)).toBe('f');
  expect(rowBeside(columns, 'd', -1)).toBe('f');
  expect(rowBeside(columns, 'e', 1)).toBe('a');
});
