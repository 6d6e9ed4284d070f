import { createElement } from 'react';
import type { ticksTo, raysFrom } from '@/core/looking/guides';
import type { Support } from '@/core/looking/photo';

type Ticks = ReturnType<typeof ticksTo>;
type Rays = ReturnType<typeof raysFrom>;

/** On a screen it is not there; on paper it alone is. */
const STYLE = `
.guides-on-paper { display: none; }
@media print {
  body * { visibility: hidden; }
  .guides-on-paper, .guides-on-paper * { visibility: visible; }
  .guides-on-paper { display: block; position: fixed; inset: 0; padding: 10mm; color: #000; background: #fff; font: 11pt sans-serif; }
  .guides-on-paper td, .guides-on-paper th { text-align: left; padding-right: 10mm; }
}`;

/** Marks along the edges of a support, to be taken to the easel on a sheet, with a line to check the printer by. */
export function PrintedGuides({
  title,
  support,
  at,
  ticks,
  rays,
}: {
  title: string;
  support: Support;
  /** The point, cm, as it was typed. */
  at: readonly [string, string];
  ticks: Ticks;
  rays: Rays;
}) {
  const cm = (mm: number) => (mm / 10).toFixed(1);
  const cell = (text: string, key: string) => createElement('td', { key }, text);
  const head = (names: string[]) =>
    createElement(
      'thead',
      { key: 'head' },
      createElement(
        'tr',
        null,
        names.map((name) => createElement('th', { key: name }, name)),
      ),
    );
  const body = (rows: string[][]) =>
    createElement(
      'tbody',
      { key: 'body' },
      rows.map((row, i) =>
        createElement(
          'tr',
          { key: i },
          row.map((text, k) => cell(text, String(k))),
        ),
      ),
    );
  return createElement(
    'div',
    { className: 'guides-on-paper' },
    createElement('style', { key: 'style' }, STYLE),
    createElement('h1', { key: 'title' }, title),
    createElement(
      'p',
      { key: 'of' },
      `${cm(support.widthMm)} × ${cm(support.heightMm)} cm. Lines to a point ${at[0]} cm right and ${at[1]} cm down from the upper left corner.`,
    ),
    ticks.length > 0
      ? createElement('table', { key: 'ticks' }, [
          head(['Left side, cm from the top', 'Right side, cm from the top']),
          body(ticks.map((t) => [cm(t.left), cm(t.right)])),
        ])
      : null,
    createElement('table', { key: 'rays' }, [
      head(['Enters at', 'Leaves at']),
      body(
        rays.map((r) => [
          r.from ? `${r.from.side} side, ${cm(r.from.mm)} cm` : 'the point itself',
          `${r.to.side} side, ${cm(r.to.mm)} cm`,
        ]),
      ),
    ]),
    createElement(
      'p',
      { key: 'check' },
      'This line is 100 mm long when the sheet is printed at full size:',
    ),
    createElement('div', { key: 'rule', style: { width: '100mm', borderTop: '0.5mm solid #000' } }),
  );
}
