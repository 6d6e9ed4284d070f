import { View } from 'react-native';
import { sameSpot, type Painting, type Spot } from '@/core/painting';
import { laidParts } from '@/core/painting/sites';
import { CORRECTIONS } from '@/data/corrections';
import type { Draft, NumberBinding, TextBinding } from '@/forms';
import { Choice } from '@/ui/Choice';
import { SpotLine } from '@/features/SpotFields';

/** Parts and spots of some passages that have a name already, each once. */
export function knownParts(painting: Painting, passageIds: string[]): Spot[] {
  const parts = passageIds.flatMap((id) => laidParts(painting, id));
  return parts
    .map(({ spotName, share }): Spot => ({ name: spotName!, share }))
    .filter((part, i, all) => all.findIndex((p) => sameSpot(p.name, part.name)) === i);
}

/** The name of a part that nobody named: the first that is free. */
export function freeName(known: { name: string }[]): string {
  let n = 1;
  while (known.some((p) => sameSpot(p.name, `part ${n}`))) n += 1;
  return `part ${n}`;
}

const HALF = 0.5;
const USUAL_SPOT: Spot = { name: 'highlights', share: CORRECTIONS.spotShare };

interface Props {
  spot: Draft<Spot> | null;
  onChange: (spot: Draft<Spot> | null) => void;
  name: TextBinding;
  share: NumberBinding;
  known: Spot[];
  /** Some of it lies there already: what is left is all the rest. */
  rest: boolean;
  label?: string;
}

/** How much of it is done: all, half, or a part with a name and a rough share. */
export function PartFields({
  spot,
  onChange,
  name,
  share,
  known,
  rest,
  label = 'How much of it',
}: Props) {
  const isHalf =
    spot !== null && spot.share === HALF && String(spot.name).startsWith('part ') === true;
  const named = known.find((p) => spot !== null && sameSpot(p.name, String(spot.name)));
  return (
    <View>
      <Choice
        label={label}
        options={[
          { key: 'all', name: rest ? 'all the rest' : 'all of it' },
          { key: 'half', name: 'half' },
          { key: 'part', name: 'a part or spot' },
        ]}
        value={spot === null ? 'all' : isHalf ? 'half' : 'part'}
        onChange={(key) =>
          onChange(
            key === 'all'
              ? null
              : key === 'half'
                ? { name: freeName(known), share: HALF }
                : USUAL_SPOT,
          )
        }
      />
      {spot && !isHalf ? (
        <>
          {known.length > 0 ? (
            <Choice
              label="One that is there"
              options={known.map((p) => ({
                key: p.name,
                name: `${p.name}, ${Math.round(p.share * 100)} %`,
              }))}
              value={named?.name ?? null}
              onChange={(key) => onChange(known.find((p) => p.name === key)!)}
            />
          ) : null}
          <SpotLine label="The part, as you call it" name={name} share={share} />
        </>
      ) : null}
    </View>
  );
}
