import { isAcrylic } from '@/core/film';
import { View } from 'react-native';
import type { Layer, Painting } from '@/core/painting';
import { SCHOOLS } from '@/core/schools';
import { Figure, Figures } from '@/features/Figures';
import { MATERIALS } from '@/data/materials';
import { FindingNotices } from '@/features/findings/FindingNotices';
import { Notice } from '@/ui/Notice';
import { Heading, Text } from '@/ui/Text';
import { duration } from '@/ui/time/words';
import { space } from '@/ui/tokens';
import type { CoatEditor, LivePassage } from './useCoatEditor';

/** As many as are read at once. */
const PROBLEMS_SHOWN = 3;
const problemsOf = ({ form }: CoatEditor): string[] =>
  [...new Set(form.issues.map((i) => i.message))].slice(0, PROBLEMS_SHOWN);

/** Figures and verdict of the draft, as they change. */
export function LivePanel({ editor, painting }: { editor: CoatEditor; painting: Painting }) {
  const { layer, passages, findings } = editor.live;
  if (!layer) {
    return (
      <View style={{ gap: space.s }}>
        <Heading>Not a coat yet</Heading>
        {problemsOf(editor).map((p) => (
          <Notice key={p} tone="refusal">
            {p}
          </Notice>
        ))}
      </View>
    );
  }
  const { touchDays, throughDays } = editor.live;
  const lost = layer.film.lossFraction;
  return (
    <View style={{ gap: space.m }} accessibilityLiveRegion="polite">
      <Verdicts passages={passages} painting={painting} />
      {layer.kept.material === null ? <PaintFigures live={editor.live} layer={layer} /> : null}
      {layer.kept.material === null ? null : (
        <Figures>
          <TimeFigure name="touch-dry" days={touchDays} />
          <TimeFigure name="through-dry" days={throughDays} />
        </Figures>
      )}
      {lost > 0.02 ? (
        <Text
          size="small"
          tone="ink2"
        >{`The ground drinks ${Math.round(lost * 100)} % of its oil: ${layer.thicknessUm.toFixed(0)} µm are left.`}</Text>
      ) : null}
      <Text size="small" tone="ink2">
        Times are for the climate in Settings, from the moment it is laid.
      </Text>
      <FindingNotices
        findings={findings}
        nowMs={editor.nowMs}
        onOverrule={(rule, reason) => editor.overrule(rule, reason)}
      />
    </View>
  );
}

/** What follows from the recipe of a paint. */
function PaintFigures({ live, layer }: { live: CoatEditor['live']; layer: Layer }) {
  const c = layer.composition;
  return (
    <Figures>
      <Figure
        name="fatness"
        value={`${Math.round(c.fatness * 100)} %`}
        note="binder in the dry film"
      />
      <Figure
        name="solvent lost"
        value={`${Math.round(c.volatileFraction * 100)} %`}
        note="of the wet mixture"
      />
      <Figure
        name="pigment load"
        value={c.reducedPvc === null ? '–' : c.reducedPvc.toFixed(2)}
        note="above 1 is chalky"
      />
      <Figure
        name="added oil"
        value={c.addedOilRatio === null ? '–' : c.addedOilRatio.toFixed(2)}
        note="per volume of paint"
      />
      {live.openDays ? (
        <Figure
          name="open"
          value={duration(live.openDays[0])}
          note={`50 %; 90 % for ${duration(live.openDays[1])}`}
        />
      ) : null}
      <TimeFigure name="touch-dry" days={live.touchDays} />
      <TimeFigure name="through-dry" days={live.throughDays} />
    </Figures>
  );
}

function Verdicts({ passages, painting }: { passages: LivePassage[]; painting: Painting }) {
  const worst = passages.find((p) => p.broken) ?? passages[0];
  if (!worst) return null;
  const { broken } = worst;
  return (
    <View style={{ gap: 2 }}>
      <Text
        size="small"
        tone="ink2"
      >{`${SCHOOLS[painting.school].name}${passages.length > 1 ? `, on ${worst.name}` : ''}`}</Text>
      <Heading size="body" tone={broken ? 'brick' : 'ink'}>
        {worst.sentence}
      </Heading>
      {worst.figures ? (
        <Text strong tone={broken ? 'brick' : 'ink'}>
          {worst.figures}
        </Text>
      ) : null}
    </View>
  );
}

function TimeFigure({ name, days }: { name: string; days: [number, number] | null }) {
  if (!days) return <Figure name={name} value="never" note="too cold to dry" />;
  return (
    <Figure name={name} value={duration(days[0])} note={`50 %; 90 % in ${duration(days[1])}`} />
  );
}

/** Fatness and reduced PVC of a paint; what it is, of anything else. */
function figuresWords({ composition: c, kept }: Layer): string {
  if (kept.material !== null) return `${MATERIALS[kept.material].name}   `;
  const binder = isAcrylic(kept) ? 'binder' : 'oil';
  const load = c.reducedPvc === null ? '' : `load ${c.reducedPvc.toFixed(2)}   `;
  return `${Math.round(c.fatness * 100)} % ${binder}   ${load}`;
}

/** The same on one line, for the foot of the phone. */
export function LiveStrip({ editor }: { editor: CoatEditor }) {
  const { layer, passages } = editor.live;
  const worst = passages.find((p) => p.broken);
  if (!layer) {
    // A coat that was only just begun is not wrong yet.
    const blank = editor.isNew && editor.draft.recipe.mix.length === 0;
    return (
      <Text strong tone={blank ? 'ink2' : 'brick'} size="small" numberOfLines={2}>
        {blank
          ? 'Add a paint, and it is told how the coat holds and dries.'
          : (problemsOf(editor)[0] ?? 'Not a coat yet.')}
      </Text>
    );
  }
  return (
    <View>
      <Text strong>
        {`${figuresWords(layer)}${editor.live.openDays ? `open ${duration(editor.live.openDays[0])}   ` : ''}${editor.live.touchDays ? `dry in ${duration(editor.live.touchDays[0])}` : 'does not dry'}`}
      </Text>
      <Text size="small" tone={worst ? 'brick' : 'ink2'} numberOfLines={1}>
        {!worst
          ? 'It holds where it lies.'
          : worst.refusal
            ? `Refused: ${worst.headline}`
            : worst.sentence}
      </Text>
    </View>
  );
}
