import { fireEvent, render, screen } from '@testing-library/react';
import { FilmColumns } from './FilmColumns';
import { FilmCore } from './FilmCore';
import { FilmSection } from './FilmSection';
import { StateSwatch, StateTag } from './StateSwatch';
import { STATE_WORD, type FilmState, type FilmStep, type GroundDrawing } from './step';

const GROUND: GroundDrawing = {
  kind: 'acrylic-gesso',
  label: 'gesso on linen',
  colour: '#E3DCCC',
  thicknessUm: 0,
  support: 'linen',
};
const step = (key: string, over: Partial<FilmStep> = {}): FilmStep => ({
  key,
  name: key,
  colour: '#664422',
  thicknessUm: 30,
  measure: 0.6,
  unspoken: false,
  figure: '60',
  state: 'touch-dry',
  broken: false,
  ...over,
});
const STEPS = [
  step('Tone'),
  step('Glaze', { measure: 0.8, figure: '80', state: 'tacky' }),
  step('Scumble', { measure: 0.66, figure: '66', state: 'planned', broken: true }),
];

const section = (steps = STEPS, onChoose = jest.fn(), ground = GROUND) => {
  const { container } = render(
    <FilmSection
      steps={steps}
      ground={ground}
      measureName="fatness, % oil"
      width={350}
      height={380}
      chosen="Scumble"
      onChoose={onChoose}
    />,
  );
  return container;
};
const svgTexts = (container: HTMLElement) =>
  [...container.querySelectorAll('svg text')].map((t) => t.textContent);
const fills = (container: HTMLElement) =>
  [...container.querySelectorAll('svg [fill]')].map((e) => e.getAttribute('fill') ?? '');

describe('section', () => {
  test('every film is named with its state, and the broken one says so', () => {
    section();
    expect(screen.getByRole('button', { name: 'Tone, touch-dry' })).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Glaze, tacky' })).toBeTruthy();
    const broken = screen.getByRole('button', { name: 'Scumble, planned, breaks the rule' });
    expect(broken.getAttribute('aria-pressed')).toBe('true');
  });

  test('the figures stand in the stair and the ground is told', () => {
    const texts = svgTexts(section());
    for (const text of ['60', '80', '66', 'gesso on linen']) expect(texts).toContain(text);
    expect(texts.some((t) => /^\d+ µm$/.test(t ?? ''))).toBe(true);
  });

  test('textures carry the state: dots for tacky, hatch for touch-dry, counter-hatch in the notch', () => {
    const all = fills(section()).join(' ');
    for (const texture of ['tacky', 'touch-dry', 'broken']) expect(all).toContain(`-${texture})`);
    expect(fills(section([step('Tone'), step('Glaze', { measure: 0.8 })])).join(' ')).not.toContain(
      '-broken)',
    );
  });

  test('a film of unknown oil is open-ended with a question mark', () => {
    expect(svgTexts(section([step('Found', { measure: null, state: 'unknown' })]))).toContain('?');
  });

  test('an old painting below is a question mark too', () => {
    expect(
      svgTexts(section([step('Block-in')], jest.fn(), { ...GROUND, kind: 'old-painting' })),
    ).toContain('?');
  });

  test('a film is chosen by its label', () => {
    const choose = jest.fn();
    section(STEPS, choose);
    fireEvent.click(screen.getByRole('button', { name: 'Tone, touch-dry' }));
    expect(choose).toHaveBeenCalledWith('Tone');
  });

  test('films lie in order: each upper edge above the one below', () => {
    const container = section([step('a', { thicknessUm: 10 }), step('b', { thicknessUm: 80 })]);
    const rects = [...container.querySelectorAll('svg rect')].filter(
      (r) => r.getAttribute('fill-opacity') === '0.5',
    );
    const [a, b] = rects.map((r) => ({
      y: Number(r.getAttribute('y')),
      height: Number(r.getAttribute('height')),
    }));
    expect(b!.y + b!.height).toBeCloseTo(a!.y, 3);
    expect(b!.height / a!.height).toBeCloseTo(8, 1);
  });
});

describe('columns', () => {
  const column = (key: string, broken: string | null = null) => ({
    key,
    name: key,
    steps: STEPS,
    state: 'open' as const,
    due: 'till 18:30',
    broken,
  });

  test('each passage has its foot, and what does not hold stands in place of what is due', () => {
    const open = jest.fn();
    render(
      <FilmColumns
        columns={[column('quinces', 'scumble does not hold'), column('slate')]}
        ground={GROUND}
        width={350}
        height={330}
        measureName="fatness, % oil"
        hrefOf={(key) => `/to/${key}`}
        onOpen={open}
      />,
    );
    expect(screen.getByText('scumble does not hold')).toBeTruthy();
    expect(screen.getAllByText('till 18:30')).toHaveLength(1);
    expect(screen.getByText('width: fatness, % oil')).toBeTruthy();
    const link = screen.getByRole('link', { name: 'slate: open the section' });
    expect(link.getAttribute('href')).toBe('/to/slate');
    fireEvent.click(link, { ctrlKey: true });
    // Another tab was asked for: that is the browser's business.
    expect(open).not.toHaveBeenCalled();
    fireEvent.click(link);
    expect(open).toHaveBeenCalledWith('slate');
  });

  test('a column without coats still draws its ground', () => {
    const { container } = render(
      <FilmColumns
        columns={[{ ...column('bare'), steps: [] }]}
        ground={GROUND}
        width={200}
        height={300}
        measureName="x"
        hrefOf={(key) => `/to/${key}`}
        onOpen={() => {}}
      />,
    );
    expect(fills(container)).toContain(GROUND.colour);
  });
});

describe('small parts', () => {
  test('every state has its word, and no two share a drawing', () => {
    const states = Object.keys(STATE_WORD) as FilmState[];
    const drawings = states.map((state) => {
      const { container } = render(<StateSwatch state={state} />);
      // Pattern ids differ from drawing to drawing; what they draw must not be compared by them.
      const svg = container.querySelector('svg')!;
      const shapes = [...svg.children]
        .filter((e) => e.tagName !== 'defs')
        .map((e) => e.outerHTML.replace(/#[a-zA-Z0-9]+-/g, '#'));
      return shapes.join('');
    });
    expect(new Set(drawings).size).toBe(states.length);
    render(<StateTag state="setting" />);
    expect(screen.getByText('setting')).toBeTruthy();
  });

  test('the core of a passage shows its films and flags a broken one', () => {
    const { container } = render(<FilmCore steps={STEPS} ground={GROUND} />);
    expect(container.querySelectorAll('svg rect[fill="#664422"]')).toHaveLength(3);
    expect(fills(container)).toContain('#8C2B22');
  });

  test.each(['canvas', 'linen', 'wood-panel', 'fibreboard-panel'] as const)(
    '%s is drawn',
    (support) => {
      const { container } = render(<FilmCore steps={[]} ground={{ ...GROUND, support }} />);
      expect(container.querySelectorAll('svg path, svg circle').length).toBeGreaterThan(1);
    },
  );
});
