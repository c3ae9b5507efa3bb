import type { MapPoint, SideMap } from './types';

/** A Catmull-Rom tangent spans both neighbours; a sixth of it is the Bezier handle. */
const HANDLE = 1 / 6;

/** One edge as cubic Bezier segments; the same backwards, so that neighbours meet exactly. */
function edgeSegments(points: readonly MapPoint[]): string {
  const at = (i: number) => points[Math.max(0, Math.min(points.length - 1, i))]!;
  const segments: string[] = [];
  for (let i = 0; i < points.length - 1; i += 1) {
    const [before, from, to, after] = [at(i - 1), at(i), at(i + 1), at(i + 2)];
    const first = [from[0] + (to[0] - before[0]) * HANDLE, from[1] + (to[1] - before[1]) * HANDLE];
    const second = [to[0] - (after[0] - from[0]) * HANDLE, to[1] - (after[1] - from[1]) * HANDLE];
    segments.push(`C${[...first, ...second, ...to].map((n) => Math.round(n * 10) / 10).join(' ')}`);
  }
  return segments.join('');
}

/**
 * The outline of a zone as an SVG path, walked edge by edge; a leading minus walks an edge backwards.
 *
 * @throws RangeError when the map has no such zone or edge
 */
export function zonePath(map: SideMap, zone: string): string {
  const walk = map.zones[zone];
  if (!walk) throw new RangeError(`"zone" expected one of the side map, got ${zone}`);
  const edges = walk.map((name) => {
    const points = map.edges[name.replace(/^-/, '')];
    if (!points) throw new RangeError(`"edge" expected one of the side map, got ${name}`);
    return name.startsWith('-') ? [...points].reverse() : points;
  });
  const [x, y] = edges[0]![0]!;
  return `M${x} ${y}${edges.map(edgeSegments).join('')}Z`;
}

/** Edges one after the other as an open SVG path; an edge that does not go on from the one before begins anew. */
export function edgesPath(map: SideMap, edges: readonly string[]): string {
  return edges
    .map((name) => {
      const points = map.edges[name]!;
      return `M${points[0]![0]} ${points[0]![1]}${edgeSegments(points)}`;
    })
    .join('');
}

/**
 * A point of an edge, by how far along it is.
 *
 * @param part - 0 at its beginning, 1 at its end
 */
export function pointOnEdge(map: SideMap, edge: string, part: number): MapPoint {
  const points = map.edges[edge]!;
  const lengths = points.slice(1).map(([x, y], at) => Math.hypot(x - points[at]![0], y - points[at]![1]));
  let left = part * lengths.reduce((sum, each) => sum + each, 0);
  for (const [at, length] of lengths.entries()) {
    if (left <= length || at === lengths.length - 1) {
      const [[fromX, fromY], [toX, toY]] = [points[at]!, points[at + 1]!];
      const share = length === 0 ? 0 : Math.min(1, left / length);
      return [fromX + (toX - fromX) * share, fromY + (toY - fromY) * share];
    }
    left -= length;
  }
  return points[0]!;
}

/** The teeth of a saw along an edge, so many units of the map apart and high. */
export function sawPath(map: SideMap, edges: readonly string[], tooth: number): string {
  return edges
    .map((edge) => {
      const points = map.edges[edge]!;
      const length = points
        .slice(1)
        .reduce((sum, [x, y], at) => sum + Math.hypot(x - points[at]![0], y - points[at]![1]), 0);
      const teeth = Math.max(2, Math.round(length / tooth));
      const at = Array.from({ length: teeth + 1 }, (_, index) => pointOnEdge(map, edge, index / teeth));
      const [first, last] = [at[0]!, at.at(-1)!];
      const run = Math.hypot(last[0] - first[0], last[1] - first[1]) || 1;
      const [offX, offY] = [(-(last[1] - first[1]) / run) * tooth, ((last[0] - first[0]) / run) * tooth];
      return at
        .map(([x, y], index) => {
          const side = index === 0 || index === teeth ? 0 : index % 2 === 0 ? 0.55 : -0.55;
          return `${index === 0 ? 'M' : 'L'}${(x + offX * side).toFixed(1)} ${(y + offY * side).toFixed(1)}`;
        })
        .join('');
    })
    .join('');
}

/** The box around a zone's edges: left, top, width, height. */
export function zoneBox(
  map: SideMap,
  zone: string,
): [left: number, top: number, width: number, height: number] {
  const points = map.zones[zone]!.flatMap((name) => map.edges[name.replace(/^-/, '')]!);
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  const [left, top] = [Math.min(...xs), Math.min(...ys)];
  return [left, top, Math.max(...xs) - left, Math.max(...ys) - top];
}

/** Room around the outline for the stroke of an active zone. */
const FRAME_MARGIN = 6;

/** The smallest frame around all edges, so that the side is drawn as large as its place allows. */
export function frameOf(map: SideMap): [left: number, top: number, width: number, height: number] {
  const points = Object.values(map.edges).flat();
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  const [left, top] = [Math.min(...xs) - FRAME_MARGIN, Math.min(...ys) - FRAME_MARGIN];
  return [left, top, Math.max(...xs) + FRAME_MARGIN - left, Math.max(...ys) + FRAME_MARGIN - top];
}

/** The same side seen from its other face: the right half of an animal hangs as its left one mirrored. */
export function mirroredMap(map: SideMap): SideMap {
  const [left, , width] = frameOf(map);
  const flip = ([x, y]: MapPoint): MapPoint => [2 * left + width - x, y];
  const edges = Object.fromEntries(
    Object.entries(map.edges).map(([name, points]) => [name, points.map(flip)]),
  );
  const labels = Object.fromEntries(Object.entries(map.labels).map(([zone, at]) => [zone, flip(at)]));
  return { ...map, edges, labels, mirrored: !map.mirrored };
}

/** A hanging side as it is drawn small: the frame of its map and a path to each zone. */
export type SideOutline = { readonly frame: string; readonly paths: readonly string[] };

export function outlineOf(map: SideMap): SideOutline {
  return {
    frame: frameOf(map).join(' '),
    paths: Object.keys(map.zones).map((zone) => zonePath(map, zone)),
  };
}
