import { chromaOf, labOfXyz, valueOfLab, WARM, yOfValue, type Lab } from './colour';
import { labOfHex } from './screen';

/** What a painter asks for against what is there: "one value darker and warmer". */
export interface Steps {
  value: number;
  /** On the axis from greenish blue to orange. */
  warmth: number;
  chroma: number;
}

const MOST_VALUE = 9.8;

/** The colour so many steps away. Value never leaves 0 to 9.8; chroma never falls below nothing. */
export function stepped(from: Lab, { value, warmth, chroma }: Steps): Lab {
  const y = yOfValue(Math.min(MOST_VALUE, Math.max(0, valueOfLab(from) + value)));
  const [L] = labOfXyz([0, y, 0], [100, 100, 100]);
  const was = chromaOf(from);
  const scale = was > 0 ? Math.max(0, was + chroma) / was : 1;
  return [
    Math.min(100, Math.max(0, L)),
    from[1] * scale + warmth * WARM[0],
    from[2] * scale + warmth * WARM[1],
  ];
}

/** A colour as it is typed: "#8f4a16", or "52 18 -30" as L*, a* and b*; null while it is neither. */
export function readColour(text: string): Lab | null {
  const said = text.trim().toLowerCase();
  if (/^#?[0-9a-f]{6}$/.test(said)) return labOfHex(said.startsWith('#') ? said : `#${said}`);
  // A comma between figures parts them; one inside a figure is a decimal comma only where spaces part them.
  const figures = (
    /\s/.test(said) ? said.replace(/,(?=\s|$)/g, ' ').replace(/,/g, '.') : said.replace(/,/g, ' ')
  )
    .split(/[\s;]+/)
    .filter((part) => part !== '')
    .map(Number);
  const [L, a, b] = figures;
  if (figures.length !== 3 || !figures.every(Number.isFinite)) return null;
  return L! >= 0 && L! <= 100 && Math.abs(a!) <= 150 && Math.abs(b!) <= 150 ? [L!, a!, b!] : null;
}
