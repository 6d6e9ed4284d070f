import type { Ground } from './schema';

/** What to heed about a ground before the first coat. Sources: common practice and conservators' advice, from memory. */
export function groundNotes(ground: Ground): string[] {
  switch (ground.kind) {
    case 'acrylic-gesso':
      return [
        'Acrylic gesso: leave it a day before oil, three in damp air or after several coats. Wear a dust mask to sand.',
      ];
    case 'oil-ground':
      return ['Oil ground: four weeks at least before the first coat. No acrylic on it, ever.'];
    case 'old-painting':
      return [
        'Old oil paint: clean and degrease it, look for varnish or wax, dull a gloss lightly, try a small patch first. Never sand paint that may hold lead.',
        'Oil from the first stroke: acrylic does not hold on it.',
      ];
  }
}
