import { useState } from 'react';
import { View } from 'react-native';
import { unlaidPassages } from '@/core/painting/sites';
import type { Coat, Painting } from '@/core/painting/schema';
import { mayBeLeftOutOn, takesAlkyd, type WhatIf } from '@/core/schedule/what-if';
import { degreesWords, type TemperatureUnit } from '@/features/units';
import { useTemperatureUnit } from '@/features/useTemperature';
import { usePaintings } from '@/store/hooks';
import { hoursSchema } from '@/core/plan-record/schema';
import { useForm } from '@/forms';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import { AwayForm, EXTRA_HOURS } from './AwayForm';
import { WEEKDAYS } from './clock-text';
import { HoursFields } from './HoursFields';

const degreesIn = (unit: TemperatureUnit) => [
  ...[2, 4, 6].map((by) => ({ key: String(by), name: degreesWords(by, unit) })),
  { key: '-4', name: `${degreesWords(4, unit)} colder` },
];

/** What is asked of each kind of change. */
export function ChangeForm({
  kind,
  onAdd,
}: {
  kind: WhatIf['kind'];
  onAdd: (change: WhatIf) => void;
}) {
  if (kind === 'away')
    return (
      <AwayForm
        title="Try it"
        kinds={['away']}
        onDone={(exception) => onAdd({ kind: 'away', exception })}
      />
    );
  if (kind === 'also') return <AlsoForm onAdd={onAdd} />;
  if (kind === 'warmer') return <WarmerForm onAdd={onAdd} />;
  return <PaintingForm kind={kind} onAdd={onAdd} />;
}

function AlsoForm({ onAdd }: { onAdd: (change: WhatIf) => void }) {
  const [day, setDay] = useState('5');
  const form = useForm({ key: 'what-if:also', schema: hoursSchema, document: EXTRA_HOURS });
  return (
    <View style={{ gap: space.s }}>
      <Choice
        label="On"
        options={WEEKDAYS.map((name, i) => ({ key: String(i), name }))}
        value={day}
        onChange={setDay}
      />
      <View style={{ flexDirection: 'row', gap: space.m }}>
        <HoursFields
          day={WEEKDAYS[Number(day)]!}
          from={form.number('from', 'clock')}
          to={form.number('to', 'clock')}
          error={form.problem('')}
        />
      </View>
      <Action
        title="Try it"
        onPress={() => {
          if (form.keep((hours) => onAdd({ kind: 'also', weekday: Number(day), hours })))
            form.restart();
        }}
      />
    </View>
  );
}

function WarmerForm({ onAdd }: { onAdd: (change: WhatIf) => void }) {
  const unit = useTemperatureUnit();
  const [by, setBy] = useState('4');
  return (
    <View style={{ gap: space.s }}>
      <Choice label="By" options={degreesIn(unit)} value={by} onChange={setBy} />
      <Action title="Try it" onPress={() => onAdd({ kind: 'warmer', byC: Number(by) })} />
    </View>
  );
}

function PaintingForm({
  kind,
  onAdd,
}: {
  kind: 'alkyd' | 'drop';
  onAdd: (change: WhatIf) => void;
}) {
  const paintings = usePaintings();
  const [id, setId] = useState(paintings[0]?.id ?? '');
  const [coatId, setCoatId] = useState<string | null>(null);
  const [passageId, setPassageId] = useState(EVERYWHERE);
  const painting = paintings.find((p) => p.id === id);
  const coats = painting
    ? painting.coats.filter((c) => mayBeLeftOutOn(painting, c).length > 0)
    : NO_COATS;
  const coat = coats.find((c) => c.id === coatId) ?? coats.at(-1) ?? null;
  const options = coats.map((c) => ({ key: c.id, name: nameOf(c, painting) }));
  const out = painting && coat ? mayBeLeftOutOn(painting, coat) : [];
  const passages = (painting?.passages ?? [])
    .filter((p) => out.includes(p.id))
    .map((p) => ({ key: p.id, name: p.name }));
  const where = passages.some((p) => p.key === passageId) ? passageId : EVERYWHERE;
  const other = painting && kind === 'alkyd' ? keptAsTheyAre(painting) : [];
  if (paintings.length === 0)
    return <Text tone="ink2">There is no painting yet whose coats could be otherwise.</Text>;
  return (
    <View style={{ gap: space.s }}>
      <Choice
        label="In"
        options={paintings.map((p) => ({ key: p.id, name: p.title }))}
        value={id}
        onChange={setId}
      />
      {kind === 'drop' && options.length === 0 ? (
        <Text tone="ink2">Nothing of it is still to be laid.</Text>
      ) : kind === 'drop' ? (
        <>
          <Choice
            label="Without"
            options={options}
            value={coat?.id ?? null}
            onChange={(key) => {
              setCoatId(key);
              setPassageId(EVERYWHERE);
            }}
          />
          {passages.length > 1 ? (
            <Choice
              label="On"
              options={[{ key: EVERYWHERE, name: 'all its passages' }, ...passages]}
              value={where}
              onChange={setPassageId}
            />
          ) : null}
        </>
      ) : (
        <>
          <Text size="small" tone="ink2">
            In the place of the medium of every coat of oil paint still to be laid. Alkyd mediums
            hold solvent: keep the room aired and heed the safety data sheet.
          </Text>
          {other.length > 0 ? (
            <Text size="small" tone="ink2">
              {`Ordinary alkyd does not go into acrylic or water-mixable paint, nor in the place of a varnish, and what is begun keeps its medium; these stay as they are: ${other.join(', ')}.`}
            </Text>
          ) : null}
        </>
      )}
      <Action
        title="Try it"
        disabled={id === '' || (kind === 'drop' && coat === null)}
        onPress={() =>
          kind === 'alkyd'
            ? onAdd({ kind, paintingId: id })
            : coat !== null &&
              onAdd({
                kind,
                paintingId: id,
                coatId: coat.id,
                ...(where === EVERYWHERE ? {} : { passageIds: [where] }),
              })
        }
      />
    </View>
  );
}
const NO_COATS: Coat[] = [];
const EVERYWHERE = 'everywhere';

/** A coat with its passages, where it is not for all of them: others may have its name. */
function nameOf(coat: Coat, painting: Painting | undefined): string {
  const all = painting?.passages ?? [];
  const own = all.filter((p) => coat.passageIds.includes(p.id));
  return own.length < all.length ? `${coat.name}: ${own.map((p) => p.name).join(', ')}` : coat.name;
}

/** Coats with a medium that alkyd does not take the place of. */
const keptAsTheyAre = (painting: Painting): string[] => [
  ...new Set(
    painting.coats
      .filter((c) => unlaidPassages(painting, c).length > 0)
      .filter((c) => c.recipe.mediumShare > 0 && !takesAlkyd(painting, c))
      .map((c) => nameOf(c, painting)),
  ),
];
