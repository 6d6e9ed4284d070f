import type { Photo, Point } from '../src/core/looking/photo';
import { baked, disc, over, photographed, plain, rect, type Picture } from './photograph';
import { FRUIT, H, PAINTED_CLOTH, QUINCES_SUPPORT, SHOTS, TABLE, W, type Stage } from './quinces';

/**
 * The pictures of the demo studio, made by code: a design and stages of it as functions of the place, mm, in Lab. The
 * photographs of them are made from these, with perspective, light, tone curve and noise of their own.
 */

/** Distance to a polygon, negative inside; good enough near its border. */
const polygon =
  (ring: readonly Point[]) =>
  (x: number, y: number): number => {
    let inside = false;
    let near = Infinity;
    for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
      const [x1, y1] = ring[i]!;
      const [x2, y2] = ring[j]!;
      if (y1 > y !== y2 > y && x < ((x2 - x1) * (y - y1)) / (y2 - y1) + x1) inside = !inside;
      const t = Math.min(
        1,
        Math.max(
          0,
          ((x - x1) * (x2 - x1) + (y - y1) * (y2 - y1)) / ((x2 - x1) ** 2 + (y2 - y1) ** 2),
        ),
      );
      near = Math.min(near, Math.hypot(x - x1 - t * (x2 - x1), y - y1 - t * (y2 - y1)));
    }
    return inside ? -near : near;
  };

export function quincesPicture(stage: Stage): Picture {
  const { soft } = stage;
  // Light falls from the upper left over the wall.
  let picture = over(plain(stage.wall), (x, y) => (x - 330 + y * 0.35) / 1.06, stage.wallLight, 6);
  picture = over(picture, rect(-10, TABLE, W + 10, H + 10), stage.slate, soft);
  FRUIT.forEach(({ x, y, r }) => {
    picture = over(
      picture,
      (px, py) => (Math.hypot((px - x - 30) / 1.7, (py - y - r + 6) / 0.42) - r) / 1.5,
      (_, py) => (py > TABLE ? stage.slateShadow : stage.wall),
      4,
    );
  });
  picture = over(picture, polygon(PAINTED_CLOTH), stage.cloth, soft);
  FRUIT.forEach((f, i) => {
    const x = f.x + (i === 2 ? stage.slip : 0);
    const body = over(
      over(
        plain(stage.fruit),
        (px, py) => f.r * 0.55 - Math.hypot(px - x + 18, py - f.y + 16) + 14,
        stage.fruitShadow,
        7,
      ),
      disc(x - 18, f.y - 20, f.r * 0.24),
      stage.fruitLight,
      3,
    );
    picture = over(picture, disc(x, f.y, f.r), body, soft);
  });
  return picture;
}

/** px/mm: a little finer than the photos. */
const BAKED = 1.25;

/** The photo of an id, as a camera saw the invented picture; null where the demo has none. */
export function demoPhoto(id: string): Photo | null {
  const shot = SHOTS[id];
  return shot
    ? photographed(
        baked(quincesPicture(shot.stage), QUINCES_SUPPORT, BAKED),
        QUINCES_SUPPORT,
        shot.camera,
      )
    : null;
}
