/**
 * Whether a thing can choke a child under three: whether it fits, whole and in any way it can be turned, into the
 * cylinder for small parts, and whether a ball passes the opening for small balls.
 * Source: 16 CFR 1501.4 (a cylinder 31.7 mm wide whose slanted bottom lies 25.4 to 57.1 mm deep) and 16 CFR 1500.18(a)(17).
 */

/** Width of the cylinder. Its bottom falls by as much as it is wide, so that it slants by 45 degrees. */
export const CHOKE_TUBE_MM = 31.7;
const SHALLOW_MM = 25.4;
const DEEP_MM = SHALLOW_MM + CHOKE_TUBE_MM;
/** A ball that passes this opening can choke a child under three. */
export const SMALL_BALL_MM = 44.4;

/** A thing as it lies in a box; round ones are as thick all round as they are wide. */
export interface Body {
  form: 'box' | 'disc' | 'rod' | 'ball';
  /** Its three dimensions, from the smallest to the largest, in mm. */
  sizesMm: readonly [number, number, number];
}

const RADIUS = CHOKE_TUBE_MM / 2;
/** Nothing longer lies in the cylinder: from the rim over the shallow side to the deepest point. */
const LONGEST_MM = Math.hypot(CHOKE_TUBE_MM, DEEP_MM);

type Point = readonly [x: number, y: number, z: number];

/** The corners that decide: those of a box, and points around both ends of what is round. */
function cornersOf({ form, sizesMm: [a, b, c] }: Body): Point[] {
  if (form === 'box')
    return [-1, 1].flatMap((x) =>
      [-1, 1].flatMap((y) => [-1, 1].map((z): Point => [(x * a) / 2, (y * b) / 2, (z * c) / 2])),
    );
  // A disc stands on its flat side, a rod on its end.
  const [across, along] = form === 'disc' ? [c, a] : [a, c];
  return Array.from({ length: 24 }, (_, i) => (i * Math.PI) / 12).flatMap((turn) =>
    [-1, 1].map((end): Point => [
      (Math.cos(turn) * across) / 2,
      (Math.sin(turn) * across) / 2,
      (end * along) / 2,
    ]),
  );
}

/** A quarter of all ways to turn it, in steps of nine degrees: the others look the same to the cylinder. */
const STEPS = 10;
const angle = (i: number): number => (i * Math.PI) / (2 * STEPS);

function turned([x, y, z]: Point, roll: number, tilt: number, yaw: number): Point {
  const [x1, y1] = [x * Math.cos(roll) - y * Math.sin(roll), x * Math.sin(roll) + y * Math.cos(roll)];
  const [x2, z2] = [x1 * Math.cos(tilt) - z * Math.sin(tilt), x1 * Math.sin(tilt) + z * Math.cos(tilt)];
  return [x2 * Math.cos(yaw) - y1 * Math.sin(yaw), x2 * Math.sin(yaw) + y1 * Math.cos(yaw), z2];
}

/** Whether it fits as it is turned: its top at the rim, and as far over the deep side as the wall allows. */
function fitsSo(corners: readonly Point[]): boolean {
  const top = Math.max(...corners.map(([, , z]) => z));
  const range = (sideways: number): [least: number, most: number] | undefined => {
    let [least, most] = [-Infinity, Infinity];
    for (const [x, y] of corners) {
      const rest = RADIUS ** 2 - (y + sideways) ** 2;
      if (rest < 0) return undefined;
      least = Math.max(least, -x - Math.sqrt(rest));
      most = Math.min(most, -x + Math.sqrt(rest));
    }
    return least <= most ? [least, most] : undefined;
  };
  const ys = corners.map(([, y]) => y);
  const [from, to] = [-RADIUS - Math.min(...ys), RADIUS - Math.max(...ys)];
  if (from > to) return false;
  // How far over it can lie falls off to both sides: the best is looked for between.
  let [low, high] = [from, to];
  const over = (sideways: number): number => range(sideways)?.[1] ?? -Infinity;
  for (let i = 0; i < 30; i++) {
    const [one, other] = [low + (high - low) / 3, high - (high - low) / 3];
    if (over(one) < over(other)) low = one;
    else high = other;
  }
  const far = over((low + high) / 2);
  if (far === -Infinity) return false;
  return corners.every(([x, , z]) => top - z <= SHALLOW_MM + RADIUS + x + far + 1e-6);
}

const known = new Map<string, boolean>();
/** Whether a body fits the cylinder for small parts whole, in some way of turning it. */
export function fitsTube(body: Body): boolean {
  const { form, sizesMm } = body;
  const [a, b, c] = sizesMm;
  if (form === 'ball') return c <= CHOKE_TUBE_MM && (c / 2) * (2 + Math.SQRT2) <= DEEP_MM;
  if (c > LONGEST_MM || b > LONGEST_MM || a > CHOKE_TUBE_MM) return false;
  const key = `${form} ${sizesMm.join()}`;
  const before = known.get(key);
  if (before !== undefined) return before;
  const corners = cornersOf(body);
  let fits = false;
  for (let roll = 0; roll <= (form === 'box' ? STEPS : 0) && !fits; roll++)
    for (let tilt = -STEPS; tilt <= STEPS && !fits; tilt++)
      for (let yaw = 0; yaw <= STEPS && !fits; yaw++)
        fits = fitsSo(corners.map((corner) => turned(corner, angle(roll), angle(tilt), angle(yaw))));
  known.set(key, fits);
  return fits;
}

/** Whether it is a ball that passes the opening for small balls: an oval one passes with its longest side ahead. */
export const isSmallBall = ({ form, sizesMm }: Body): boolean =>
  form === 'ball' && sizesMm[1] <= SMALL_BALL_MM;
